import type { Role } from "../api/types";

/** Roles of frames in words. */
export const ROLE: Record<Role, string> = {
  AMBIENT: "ambient",
  FLASH: "flash",
  WINDOW: "window",
  LAMPS_OFF: "lamps off",
};

/** A shutter time as photographers write it. */
export function shutter(seconds: number): string {
  if (seconds <= 0) return "?";
  return seconds < 0.3 ? `1/${Math.round(1 / seconds)}` : String(Math.round(seconds * 10) / 10);
}
