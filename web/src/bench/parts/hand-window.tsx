import type { Point } from "../../api/types";
import { startPart } from "../edits/regions";
import { settle } from "../state/gesture";
import { leaveTool } from "../state/hand";
import { far, joins, type Spot, type Tool } from "../tools/tool";
import { closed, type PartUi } from "./part";

/** Window: a click into it, or a box round it; what is glass is found when the pointer is let go. */
function tool(defaults: Record<string, number>): Tool {
  let from: Spot | undefined;
  const end = () => (from = undefined);
  return {
    cursor: "crosshair",
    down: (at) => (from = at),
    move: () => {},
    up: (at) => {
      if (!from) return;
      startPart(
        {
          kind: "hand-window",
          from: from.point,
          to: far(from, at) ? at.point : from.point,
          before: defaults.before ?? 1,
          grow: defaults.grow ?? 0,
          softness: defaults.softness ?? 3,
        },
        joins(from),
      );
      end();
      settle();
      leaveTool();
    },
    cancel: end,
  };
}

const same = (a: Point, b: Point) => a.x === b.x && a.y === b.y;

export const handWindow: PartUi<"hand-window"> = {
  kind: "hand-window",
  name: "Window",
  title: () => "Window",
  draw: { key: "J", how: "Click into a window, or drag a box round it.", tool },
  grips: (shape) =>
    same(shape.from, shape.to)
      ? [{ at: shape.from, name: "The window clicked into", to: (p) => ({ ...shape, from: p, to: p }) }]
      : [
          { at: shape.from, name: "Corner", to: (from) => ({ ...shape, from }) },
          { at: shape.to, name: "Corner", to: (to) => ({ ...shape, to }) },
        ],
  lines: ({ from, to }) =>
    same(from, to) ? [] : [closed([from, { x: to.x, y: from.y }, to, { x: from.x, y: to.y }])],
};
