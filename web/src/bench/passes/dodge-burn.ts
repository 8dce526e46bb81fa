import { begin } from "./begin";
import type { PassUi } from "./pass";

/** Weak strokes, which build up. */
const FLOW = 0.1;

export const dodgeBurn: PassUi = {
  kind: "dodge-burn",
  add: begin({ name: "Strokes", tool: "brush", flow: FLOW, joins: false }),
};
