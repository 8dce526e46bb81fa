import type { Brush, Point } from "../../api/client";
import {
  addPart,
  changeRegion,
  pan,
  pin,
  put,
  settle,
  useBench,
  addRegion,
  nextName,
  geometry,
} from "../store";
import { newId } from "../words";

/** A place on the stage and in the picture. */
export interface Spot {
  sx: number;
  sy: number;
  /** Pixels at full size. */
  x: number;
  y: number;
  /** Fractions of the long edge, as recipes keep them. */
  point: Point;
  alt: boolean;
}

/** One tool: what pressing, moving and letting go mean while it is held. */
export interface Hand {
  cursor: string;
  down(at: Spot): void;
  move(at: Spot): void;
  up(at: Spot): void;
}

/** Looking around: drag moves the picture. */
export function lookHand(): Hand {
  let last: Spot | undefined;
  return {
    cursor: "grab",
    down: (at) => (last = at),
    move: (at) => {
      if (last) pan(at.sx - last.sx, at.sy - last.sy);
      last = last && at;
    },
    up: () => (last = undefined),
  };
}

/** Pins a probe where it is pressed. */
export function probeHand(): Hand {
  return { cursor: "crosshair", down: (at) => pin(at.x, at.y), move: () => {}, up: () => {} };
}

/** Outline: idle → placing points → closed by Enter or on the first point. */
export function outlineHand(): Hand {
  return {
    cursor: "crosshair",
    down: (at) => {
      const { draft } = useBench.getState();
      const g = geometry();
      const first = draft[0];
      const long = Math.max(g.w, g.h);
      if (
        first &&
        draft.length > 2 &&
        Math.hypot(first.x - at.point.x, first.y - at.point.y) * long * g.scale < 9
      ) {
        closeOutline(at.alt);
        return;
      }
      put({ draft: [...draft, at.point] });
    },
    move: () => {},
    up: () => {},
  };
}

export function closeOutline(takeAway: boolean) {
  const { draft, combine } = useBench.getState();
  if (draft.length < 3) return;
  addPart({ kind: "outline", points: draft }, takeAway ? "TAKE_AWAY" : combine);
  put({ draft: [], tool: "look" });
}

/** Brush: idle → painting → one step; Alt takes away. Paints into the selected region. */
export function brushHand(): Hand {
  let region = "";
  let part = "";
  return {
    cursor: "none",
    down: (at) => {
      const s = useBench.getState();
      region = s.region || addRegion(nextName());
      const there = useBench.getState().recipe!.regions.find((r) => r.id === region)!;
      const combine = at.alt ? "TAKE_AWAY" : s.combine === "OVERLAP" ? "ADD" : s.combine;
      const last = there.parts.at(-1);
      const g = geometry();
      const long = Math.max(g.w, g.h);
      const stroke = {
        radius: s.brush.size / 2 / long,
        softness: s.brush.softness,
        flow: s.brush.flow,
        takeAway: false,
        points: [at.point],
      };
      put({ moving: false });
      if (last && last.shape.kind === "brush" && last.combine === combine) {
        part = last.id;
        const brush = last.shape as Brush;
        changeRegion(
          region,
          {
            parts: [
              ...there.parts.slice(0, -1),
              { ...last, shape: { ...brush, strokes: [...brush.strokes, stroke] } },
            ],
          },
          true,
        );
      } else {
        part = newId();
        changeRegion(
          region,
          { parts: [...there.parts, { id: part, combine, shape: { kind: "brush", strokes: [stroke] } }] },
          true,
        );
      }
    },
    move: (at) => {
      if (!part) return;
      const there = useBench.getState().recipe!.regions.find((r) => r.id === region);
      const own = there?.parts.find((p) => p.id === part);
      if (!there || !own) return;
      const brush = own.shape as Brush;
      const stroke = brush.strokes.at(-1)!;
      const end = stroke.points.at(-1)!;
      if (Math.hypot(end.x - at.point.x, end.y - at.point.y) < stroke.radius * 0.12) return;
      const strokes = [...brush.strokes.slice(0, -1), { ...stroke, points: [...stroke.points, at.point] }];
      changeRegion(
        region,
        { parts: there.parts.map((p) => (p === own ? { ...p, shape: { ...brush, strokes } } : p)) },
        true,
      );
    },
    up: () => {
      if (!part) return;
      part = "";
      changeRegion(region, {});
      settle();
    },
  };
}
