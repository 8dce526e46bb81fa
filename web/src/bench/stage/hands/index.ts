import type { Tool } from "../../store";
import { brushHand } from "./brush";
import type { Hand } from "./hand";
import { lookHand, probeHand } from "./look";
import { outlineHand } from "./outline";
import { colourHand, similarHand } from "./pick";
import { ellipseHand, loopHand, panelHand, rampHand } from "./shapes";

/** One hand for each tool. */
export function hands(): Record<Tool, Hand> {
  return {
    look: lookHand(),
    probe: probeHand(),
    outline: outlineHand(),
    loop: loopHand(),
    ramp: rampHand(),
    ellipse: ellipseHand(),
    panel: panelHand(),
    brush: brushHand(),
    "similar-colour": similarHand(),
    "colour-band": colourHand(),
  };
}
