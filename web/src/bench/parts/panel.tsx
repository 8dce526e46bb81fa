import { dragTool, far } from "../tools/tool";
import { closed, type PartUi } from "./part";

/** Panel: corner to corner; its corners move on their own afterwards. */
const tool = (defaults: Record<string, number>) =>
  dragTool((from, to) => {
    if (!far(from, to)) return undefined;
    const a = from.point;
    const b = to.point;
    return {
      kind: "panel",
      corners: [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }],
      softness: defaults.softness ?? 40,
    };
  });

export const panel: PartUi<"panel"> = {
  kind: "panel",
  name: "Panel",
  title: () => "Panel",
  draw: { key: "Y", how: "Drag from corner to corner; then move each corner.", tool },
  grips: (shape) =>
    shape.corners.map((at, i) => ({
      at,
      name: "Corner",
      to: (p) => ({ ...shape, corners: shape.corners.map((o, k) => (k === i ? p : o)) }),
    })),
  lines: (shape) => [closed(shape.corners)],
};
