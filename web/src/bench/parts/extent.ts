import type { Part } from "../../api/types";
import { fullSize } from "../state/view";
import { readPath } from "../tools/path";
import { partUi } from ".";

/**
 * The shorter side of what drawn parts span, in pixels at full size; nothing where none is drawn. Of it a
 * feather can be given in percent.
 */
export function extentOf(parts: Part[]): number | undefined {
  const points = parts.flatMap(({ shape }) =>
    shape.kind === "brush"
      ? shape.strokes.flatMap((s) => readPath(s.path))
      : (partUi(shape.kind).lines?.(shape).flat() ?? []),
  );
  if (points.length === 0) return undefined;
  const span = (along: (p: (typeof points)[number]) => number) => {
    let least = Infinity;
    let most = -Infinity;
    for (const p of points) {
      least = Math.min(least, along(p));
      most = Math.max(most, along(p));
    }
    return most - least;
  };
  const side = Math.min(
    span((p) => p.x),
    span((p) => p.y),
  );
  return side > 0 ? side * fullSize().long : undefined;
}
