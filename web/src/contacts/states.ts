import type { ViewCard } from "../api/client";

/** How far a view has come, in words. */
export const STATE: Record<ViewCard["state"], string> = {
  NEW: "new",
  LINED_UP: "lined up",
  BLENDED: "blended",
  BALANCED: "balanced",
  SECOND_LOOK: "second look",
  READY: "ready",
  DELIVERED: "delivered",
};
