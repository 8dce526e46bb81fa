import type { ShapeOf } from "../../api/types";
import { Tick } from "../../kit/Tick";
import { addPart } from "../edits/regions";
import { leaveTool, take, useHand } from "../state/hand";
import { geometry } from "../state/viewport";
import { joins, longEdge, press } from "../tools/tool";
import { closed, half, type PartUi } from "./part";

/** Closes the outline that is being drawn, from three points on. */
export function closeOutline(takeAway: boolean) {
  const { draft } = useHand.getState();
  if (draft.length < 3) return;
  addPart({ kind: "outline", points: draft, smooth: false }, joins({ alt: takeAway }));
  leaveTool();
}

/** Outline: idle → placing points → closed by Enter or on the first point. */
const tool = () =>
  press("crosshair", (at) => {
    const { draft } = useHand.getState();
    const first = draft[0];
    const near =
      first && Math.hypot(first.x - at.point.x, first.y - at.point.y) * longEdge() * geometry().scale < 9;
    if (near && draft.length > 2) closeOutline(at.alt);
    else take({ draft: [...draft, at.point] });
  });

function without(shape: ShapeOf<"outline">, at: number): ShapeOf<"outline"> {
  return { ...shape, points: shape.points.filter((_, i) => i !== at) };
}

export const outline: PartUi<"outline"> = {
  kind: "outline",
  name: "Outline",
  title: (s) => `Outline of ${s.points.length} points`,
  draw: {
    key: "O",
    how: "Click points; Enter or the first point closes, Esc leaves, Alt takes away.",
    tool,
  },
  grips: (shape) =>
    shape.points.map((at, i) => ({
      at,
      name: "Point",
      to: (p) => ({ ...shape, points: shape.points.map((o, k) => (k === i ? p : o)) }),
      without: shape.points.length > 3 ? () => without(shape, i) : undefined,
    })),
  lines: (shape) => (shape.smooth ? [] : [closed(shape.points)]),
  sides: (shape) =>
    shape.points.map((p, i) => {
      const at = half(p, shape.points[(i + 1) % shape.points.length] ?? p);
      return { at, with: () => ({ ...shape, points: shape.points.toSpliced(i + 1, 0, at) }) };
    }),
  Editor: ({ shape, onChange }) => (
    <Tick label="Smooth" on={shape.smooth} onChange={(smooth) => onChange({ smooth })} />
  ),
};
