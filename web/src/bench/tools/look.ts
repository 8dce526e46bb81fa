import { pin } from "../state/board";
import { pan } from "../state/viewport";
import { press, type Spot, type Tool } from "./tool";

/** Looking around: drag moves the picture. */
export function lookTool(): Tool {
  let last: Spot | undefined;
  return {
    cursor: "grab",
    down: (at) => (last = at),
    move: (at) => {
      if (last) pan(at.sx - last.sx, at.sy - last.sy);
      last = last && at;
    },
    up: () => (last = undefined),
    cancel: () => (last = undefined),
  };
}

/** Pins a probe where it is pressed. */
export const probeTool = (): Tool => press("crosshair", (at) => pin(at.x, at.y));
