import type { Part, Point, Shape } from "../../../api/client";
import { changePart, geometry, put, settle, startPart, useBench } from "../../store";

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
  shift: boolean;
  /** The pen's pressure, 0 to 1; 1 for a mouse. */
  pressure: number;
}

/** One tool: what pressing, moving and letting go mean while it is held. */
export interface Hand {
  cursor: string;
  down(at: Spot): void;
  move(at: Spot): void;
  up(at: Spot): void;
}

/** Long edge of the view in pixels at full size. */
export function longEdge(): number {
  const g = geometry();
  return Math.max(g.w, g.h);
}

/** How the next part joins: as chosen, or taking away while Alt is held. */
export function joins(at: Spot): Part["combine"] {
  return at.alt ? "TAKE_AWAY" : useBench.getState().combine;
}

/**
 * A tool that draws one shape in one drag: idle → drawing → one step. {@code make} gives the shape for
 * where the drag began, where it is now and all places between; nothing while it is too small.
 */
export function dragHand(make: (from: Spot, to: Spot, all: Point[]) => Shape | undefined): Hand {
  let from: Spot | undefined;
  let all: Point[] = [];
  let part = "";
  const draw = (at: Spot) => {
    const shape = from && make(from, at, all);
    if (!from || !shape) return;
    if (part) changePart(part, (p) => ({ ...p, shape }), true);
    else part = startPart(shape, joins(from), true).id;
  };
  return {
    cursor: "crosshair",
    down: (at) => {
      from = at;
      all = [at.point];
    },
    move: (at) => {
      if (!from) return;
      all.push(at.point);
      draw(at);
    },
    up: (at) => {
      draw(at);
      if (part) {
        changePart(part, (p) => p);
        settle();
        put({ tool: "look" });
      }
      from = undefined;
      part = "";
    },
  };
}
