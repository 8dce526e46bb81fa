import type { Part, ShapeOf, Stroke } from "../../api/types";
import { addRegion, changePart, nextName, startPart } from "../edits/regions";
import { reshape, settle } from "../state/gesture";
import { take, useHand } from "../state/hand";
import { recipe } from "../state/history";
import { simplified, writePath, type Step } from "../tools/path";
import { longEdge, type Spot, type Tool } from "../tools/tool";
import { RegionLine } from "./lines";
import type { PartUi } from "./part";

type Brush = ShapeOf<"brush">;

function strokesOf(part: Part): Stroke[] {
  return (part.shape as Brush).strokes;
}

/** The last part of the selected region, where it is a brush that joins in the same way and inside the same. */
function lastBrush(combine: Part["combine"], limit: string): Part | undefined {
  const { region } = useHand.getState();
  const last = recipe()
    ?.regions.find((r) => r.id === region)
    ?.parts.at(-1);
  if (last?.shape.kind !== "brush" || last.combine !== combine) return undefined;
  return last.shape.limit === limit ? last : undefined;
}

/** The region that alone takes the paint of what is painted next, where it is there and is another. */
function inside(): string {
  const { brush: tip, region } = useHand.getState();
  const there = recipe()?.regions.some((r) => r.id === tip.inside) && tip.inside !== region;
  return there ? tip.inside : "";
}

/**
 * Brush: idle → painting → one step. Alt takes away; Shift draws straight from where the last stroke ended.
 * Paints into the last brush of the selected region that joins in the same way.
 */
function brushTool(): Tool {
  let part = "";
  let line: Step[] = [];
  let end: Step | undefined;
  const repaint = (done: boolean) =>
    changePart(part, (p) => {
      const last = strokesOf(p).at(-1);
      if (last) last.path = writePath(done ? simplified(line, 0.5 / longEdge()) : line);
    });
  const first = (at: Spot, takeAway: boolean): Stroke => {
    const tip = useHand.getState().brush;
    const stops = takeAway ? tip.erasingStops : tip.stops;
    const here = { ...at.point, press: at.pressure };
    line = at.shift && end ? [end, here] : [here];
    return {
      radius: tip.size / 2 / longEdge(),
      // a pen that leans over paints with its side
      softness: tip.softness + (1 - tip.softness) * at.lean,
      flow: tip.flow,
      takeAway: false,
      stop: stops ? tip.stop : 0,
      path: writePath(line),
    };
  };
  const finish = () => {
    if (!part) return;
    repaint(true);
    end = line.at(-1);
    part = "";
    settle();
  };
  return {
    cursor: "none",
    down: (at) => {
      const { combine: chosen, region } = useHand.getState();
      const combine = at.alt ? "TAKE_AWAY" : chosen === "OVERLAP" ? "ADD" : chosen;
      const stroke = first(at, combine === "TAKE_AWAY");
      reshape(region);
      const limit = inside();
      const last = lastBrush(combine, limit);
      if (last) {
        part = last.id;
        take({ part });
        changePart(part, (p) => strokesOf(p).push(stroke));
      } else {
        part = startPart({ kind: "brush", strokes: [stroke], ceiling: 1, limit }, combine).id;
      }
    },
    move: (at, between) => {
      if (!part) return;
      const step = (useHand.getState().brush.size / 2 / longEdge()) * 0.12;
      const before = line.length;
      for (const { point: p, pressure } of [...between, at]) {
        const last = line.at(-1);
        if (last && Math.hypot(last.x - p.x, last.y - p.y) >= step) line.push({ ...p, press: pressure });
      }
      if (line.length > before) {
        reshape(useHand.getState().region);
        repaint(false);
      }
    },
    up: finish,
    cancel: finish,
  };
}

/** An empty region to be painted into, where none is chosen. */
export function regionToPaint() {
  addRegion(nextName());
  settle();
}

export const brush: PartUi<"brush"> = {
  kind: "brush",
  name: "Brush",
  title: (s) => `Brush, ${s.strokes.length} ${s.strokes.length === 1 ? "stroke" : "strokes"}`,
  draw: {
    key: "K",
    how: "Paint; Alt takes away, Shift draws straight from the last end.",
    tool: brushTool,
  },
  Editor: ({ shape, onChange }) => (
    <RegionLine
      region={shape.limit}
      what="Paint only inside"
      none="no region"
      onPick={(limit) => {
        onChange({ limit });
        // further strokes join it
        take({ brush: { ...useHand.getState().brush, inside: limit } });
      }}
    />
  ),
};
