import type { Point } from "../../api/types";
import { useView } from "../state/view";
import { geometry, useViewport } from "../state/viewport";

/** Where the picture lies on the stage, drawn again when it is moved or zoomed. */
export function usePlace() {
  useView((s) => s.sheet);
  useViewport((s) => s.stage);
  useViewport((s) => s.zoom);
  const g = geometry();
  const long = Math.max(g.w, g.h);
  const at = (p: Point) => ({ x: g.ox + p.x * long * g.scale, y: g.oy + p.y * long * g.scale });
  return { ...g, long, at };
}
