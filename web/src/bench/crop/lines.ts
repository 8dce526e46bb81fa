import { create } from "zustand";
import type { Geometry, Point } from "../../api/types";
import { straighten, type Leaning } from "../edits/geometry";
import { recipe } from "../state/history";
import { far, type Spot, type Tool } from "../tools/tool";

/** Lines drawn along what is plumb or level; the picture is straightened by all of them together. */
export interface LinesState {
  lines: Leaning[];
  /** The one that is being drawn. */
  drawn?: Leaning;
  /** How the picture lay before the first. */
  start?: Geometry;
}

export const useLines = create<LinesState>(() => ({ lines: [] }));

export function forgetLines() {
  useLines.setState({ lines: [] }, true);
}

/** One line in one drag; each more is weighed with those before it. */
export function lineTool(): Tool {
  let from: Spot | undefined;
  const to = (p: Point) => from && useLines.setState({ drawn: { from: from.point, to: p } });
  return {
    cursor: "crosshair",
    down: (at) => (from = at),
    move: (at) => to(at.point),
    up: (at) => {
      const start = useLines.getState().start ?? recipe()?.geometry;
      if (from && far(from, at) && start) {
        const lines = [...useLines.getState().lines, { from: from.point, to: at.point }];
        useLines.setState({ lines, start, drawn: undefined });
        void straighten(start, lines);
      } else useLines.setState({ drawn: undefined });
      from = undefined;
    },
    cancel: () => {
      from = undefined;
      useLines.setState({ drawn: undefined });
    },
  };
}
