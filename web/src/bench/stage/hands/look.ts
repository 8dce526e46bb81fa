import { pan, pin } from "../../store";
import type { Hand, Spot } from "./hand";

/** Looking around: drag moves the picture. */
export function lookHand(): Hand {
  let last: Spot | undefined;
  return {
    cursor: "grab",
    down: (at) => (last = at),
    move: (at) => {
      if (last) pan(at.sx - last.sx, at.sy - last.sy);
      last = last && at;
    },
    up: () => (last = undefined),
  };
}

/** Pins a probe where it is pressed. */
export function probeHand(): Hand {
  return { cursor: "crosshair", down: (at) => pin(at.x, at.y), move: () => {}, up: () => {} };
}
