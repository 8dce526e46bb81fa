import type { Part, Point } from "../../api/types";
import { fullSize } from "../state/view";
import { readPath } from "../tools/path";
import { partUi } from ".";

/** The points along which parts were drawn. */
const drawn = (parts: Part[]): Point[] =>
  parts.flatMap(({ shape }) =>
    shape.kind === "brush"
      ? shape.strokes.flatMap((s) => readPath(s.path))
      : (partUi(shape.kind).lines?.(shape).flat() ?? []),
  );

/** What points span along an axis. */
function span(points: Point[], axis: "x" | "y") {
  const along = points.map((p) => p[axis]);
  const least = along.reduce((a, b) => Math.min(a, b), Infinity);
  const most = along.reduce((a, b) => Math.max(a, b), -Infinity);
  return { middle: (least + most) / 2, length: most - least };
}

/**
 * The shorter side of what drawn parts span, in pixels at full size; nothing where none is drawn. Of it a
 * feather can be given in percent.
 */
export function extentOf(parts: Part[]): number | undefined {
  const points = drawn(parts);
  if (points.length === 0) return undefined;
  const side = Math.min(span(points, "x").length, span(points, "y").length);
  return side > 0 ? side * fullSize().long : undefined;
}

/** The middle of what drawn parts span; nothing where none is drawn. */
export function middleOf(parts: Part[]): Point | undefined {
  const points = drawn(parts);
  if (points.length === 0) return undefined;
  return { x: span(points, "x").middle, y: span(points, "y").middle };
}
