import type { Point } from "../../api/types";
import { toPicture, toView, useLay } from "../state/lay";
import { fullSize, useView } from "../state/view";
import { geometry, useViewport } from "../state/viewport";

/** Where the picture lies on the stage, drawn again when it is moved, zoomed, turned or cut. */
export function usePlace() {
  useView((s) => s.sheet);
  useViewport((s) => s.stage);
  useViewport((s) => s.zoom);
  useLay((s) => s.lay);
  const g = geometry();
  const { long } = fullSize();
  /** Where a place of the view lies on the stage. */
  const at = (p: Point) => {
    const { x, y } = toPicture(p);
    return { x: g.ox + x * g.scale, y: g.oy + y * g.scale };
  };
  /** The place of the view at a place of the stage. */
  const under = (x: number, y: number) => toView((x - g.ox) / g.scale, (y - g.oy) / g.scale);
  return { ...g, long, at, under };
}
