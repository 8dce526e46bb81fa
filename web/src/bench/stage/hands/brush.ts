import type { Brush, Part, Stroke } from "../../../api/client";
import { changePart, changeRegion, put, settle, startPart, useBench } from "../../store";
import { longEdge, type Hand, type Spot } from "./hand";
import { simplified, writePath, type Step } from "./path";

/**
 * Brush: idle → painting → one step. Alt takes away; Shift draws straight from where the last stroke ended.
 * Paints into the last brush of the selected region that joins in the same way.
 */
export function brushHand(): Hand {
  let part = "";
  let line: Step[] = [];
  let end: Step | undefined;
  const stroke = (of: Stroke, done: boolean): Stroke => ({
    ...of,
    path: writePath(done ? simplified(line, 0.5 / longEdge()) : line),
  });
  const repaint = (done: boolean) =>
    changePart(
      part,
      (p) => {
        const brush = p.shape as Brush;
        const last = brush.strokes.at(-1)!;
        return { ...p, shape: { ...brush, strokes: [...brush.strokes.slice(0, -1), stroke(last, done)] } };
      },
      !done,
    );
  return {
    cursor: "none",
    down: (at) => {
      const s = useBench.getState();
      const combine = at.alt ? "TAKE_AWAY" : s.combine === "OVERLAP" ? "ADD" : s.combine;
      const here = { ...at.point, press: at.pressure };
      line = at.shift && end ? [end, here] : [here];
      const tip = s.brush;
      const stops = combine === "TAKE_AWAY" ? tip.erasingStops : tip.stops;
      const first: Stroke = {
        radius: tip.size / 2 / longEdge(),
        softness: tip.softness,
        flow: tip.flow,
        takeAway: false,
        stop: stops ? tip.stop : 0,
        path: writePath(line),
      };
      put({ moving: false });
      const last = s.recipe?.regions.find((r) => r.id === s.region)?.parts.at(-1);
      if (last && last.shape.kind === "brush" && last.combine === combine) {
        part = last.id;
        put({ part });
        changePart(part, (p) => added(p, first), true);
      } else {
        part = startPart({ kind: "brush", strokes: [first], ceiling: 1, limit: "" }, combine, true).id;
      }
    },
    move: (at: Spot) => {
      const last = line.at(-1);
      if (!part || !last) return;
      const step = (useBench.getState().brush.size / 2 / longEdge()) * 0.12;
      if (Math.hypot(last.x - at.point.x, last.y - at.point.y) < step) return;
      line.push({ ...at.point, press: at.pressure });
      repaint(false);
    },
    up: () => {
      if (!part) return;
      repaint(true);
      end = line.at(-1);
      part = "";
      changeRegion(useBench.getState().region, {});
      settle();
    },
  };
}

function added(part: Part, stroke: Stroke): Part {
  const brush = part.shape as Brush;
  return { ...part, shape: { ...brush, strokes: [...brush.strokes, stroke] } };
}
