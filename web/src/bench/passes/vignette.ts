import { within } from "../../kit/numbers";
import { fullSize } from "../state/view";
import type { PassUi } from "./pass";

const share = (v: number) => Number(within(v, 0, 1).toFixed(3));

/** Its centre is taken hold of on the picture. */
export const vignette: PassUi = {
  kind: "vignette",
  grips: ({ move }) => {
    if (move.kind !== "vignette") return [];
    const { w, h, long } = fullSize();
    return [
      {
        at: { x: (move.across * w) / long, y: (move.down * h) / long },
        name: "Move",
        to: (p) => ({ across: share((p.x * long) / w), down: share((p.y * long) / h) }),
      },
    ];
  },
};
