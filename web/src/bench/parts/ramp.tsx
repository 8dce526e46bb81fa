import type { Point } from "../../api/types";
import { dragTool, far } from "../tools/tool";
import { half, minus, plus, type PartUi } from "./part";

/** Ramp: from where it is full to where it ends; Shift keeps it level or upright. */
const tool = () =>
  dragTool((from, to) => {
    if (!far(from, to)) return undefined;
    const wide = Math.abs(to.point.x - from.point.x) > Math.abs(to.point.y - from.point.y);
    const straight = wide ? { x: to.point.x, y: from.point.y } : { x: from.point.x, y: to.point.y };
    return { kind: "ramp", from: from.point, to: to.shift ? straight : to.point };
  });

export const ramp: PartUi<"ramp"> = {
  kind: "ramp",
  name: "Ramp",
  title: () => "Ramp",
  draw: { key: "R", how: "Drag from where it is full to where it ends; Shift keeps it level.", tool },
  grips: (shape) => [
    { at: shape.from, name: "Full from here", to: (from) => ({ ...shape, from }) },
    { at: shape.to, name: "Ends here", to: (to) => ({ ...shape, to }) },
    {
      at: half(shape.from, shape.to),
      name: "Move",
      to: (p) => {
        const by = minus(p, half(shape.from, shape.to));
        return { ...shape, from: plus(shape.from, by), to: plus(shape.to, by) };
      },
    },
  ],
  lines: (shape) => {
    const d = minus(shape.to, shape.from);
    const side = { x: -d.y, y: d.x };
    const across = (p: Point) => [plus(p, side), minus(p, side)];
    return [[shape.from, shape.to], across(shape.from), across(shape.to)];
  },
};
