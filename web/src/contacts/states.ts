import type { ViewCard } from "../api/types";

/** How far a view has come, in words. */
export const STATE: Record<ViewCard["state"], string> = {
  NEW: "new",
  LINED_UP: "lined up",
  BLENDED: "blended",
  DELIVERED: "delivered",
};
