import type { Point } from "../../api/types";
import { dragTool, far } from "../tools/tool";
import { minus, plus, type PartUi } from "./part";

const LEAST = 0.002;

/** Ellipse: from its centre outwards; Shift makes a circle. */
const tool = (defaults: Record<string, number>) =>
  dragTool((from, to) => {
    if (!far(from, to)) return undefined;
    const wide = Math.max(LEAST, Math.abs(to.point.x - from.point.x));
    const high = Math.max(LEAST, Math.abs(to.point.y - from.point.y));
    const round = Math.max(wide, high);
    return {
      kind: "ellipse",
      centre: from.point,
      wide: to.shift ? round : wide,
      high: to.shift ? round : high,
      turn: defaults.turn ?? 0,
      softness: defaults.softness ?? 0.5,
    };
  });

/** Its axes as directions. */
function axes(turn: number): { along: Point; across: Point } {
  const t = (turn * Math.PI) / 180;
  return { along: { x: Math.cos(t), y: Math.sin(t) }, across: { x: -Math.sin(t), y: Math.cos(t) } };
}

export const ellipse: PartUi<"ellipse"> = {
  kind: "ellipse",
  name: "Ellipse",
  title: () => "Ellipse",
  draw: { key: "E", how: "Drag from the centre outwards; Shift makes a circle.", tool },
  grips: (shape) => {
    const { along, across } = axes(shape.turn);
    const reach = (p: Point) => minus(p, shape.centre);
    return [
      { at: shape.centre, name: "Move", to: (centre) => ({ ...shape, centre }) },
      {
        at: plus(shape.centre, { x: along.x * shape.wide, y: along.y * shape.wide }),
        name: "Width and turn",
        to: (p) => {
          const d = reach(p);
          const degrees = (Math.atan2(d.y, d.x) * 180) / Math.PI;
          return {
            ...shape,
            wide: Math.max(LEAST, Math.hypot(d.x, d.y)),
            turn: Math.round(degrees * 10) / 10,
          };
        },
      },
      {
        at: plus(shape.centre, { x: across.x * shape.high, y: across.y * shape.high }),
        name: "Height",
        to: (p) => {
          const d = reach(p);
          return { ...shape, high: Math.max(LEAST, Math.abs(d.x * across.x + d.y * across.y)) };
        },
      },
    ];
  },
  lines: (shape) => {
    const { along, across } = axes(shape.turn);
    const ring = Array.from({ length: 61 }, (_, i) => {
      const t = (i / 60) * 2 * Math.PI;
      const u = Math.cos(t) * shape.wide;
      const v = Math.sin(t) * shape.high;
      return plus(shape.centre, { x: u * along.x + v * across.x, y: u * along.y + v * across.y });
    });
    return [ring];
  },
};
