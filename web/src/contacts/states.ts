import type { ViewCard } from "../api/types";
import { soon } from "../kit/dates";

/** How far a view has come, in words and in their order. */
export const STATE: Record<ViewCard["state"], string> = {
  NEW: "new",
  LINED_UP: "lined up",
  BLENDED: "blended",
  BALANCED: "balanced",
  RESTING: "resting",
  READY: "ready",
  DELIVERED: "delivered",
};

/** Whether there is a picture of it. */
export const linedUp = (view: ViewCard) => view.state !== "NEW";

/** Whether it rested long enough. */
export const waits = (view: ViewCard) => !!view.restsUntil && new Date(view.restsUntil) <= new Date();

/** The state of one view, said in full. */
export function stateOf(view: ViewCard): string {
  if (waits(view)) return "waits for a second look";
  return view.restsUntil ? `rests until ${soon(view.restsUntil)}` : STATE[view.state];
}
