import type { Frame } from "../api/types";
import { stepped } from "../kit/numbers";
import type { Measure } from "./state/helpers";

/** Stops of a frame against the anchor, as text. */
export function step(frame: Frame, frames: Frame[]): string {
  const anchor = frames.find((f) => f.anchor);
  return stepped(frame.stops - (anchor?.stops ?? 0));
}

const ROLE: Record<Frame["role"], string> = {
  AMBIENT: "frame",
  FLASH: "flash frame",
  WINDOW: "window frame",
  LAMPS_OFF: "lamps-off frame",
};

/** A frame's name in sentences. */
export function frameName(id: string, frames: Frame[]): string {
  const frame = frames.find((f) => f.id === id);
  if (!frame) return "a frame that is gone";
  const own = step(frame, frames);
  const twins = frames.filter((f) => f.role === frame.role && step(f, frames) === own);
  const nth = twins.length > 1 ? ` ${"abcdefgh"[twins.indexOf(frame)] ?? ""}` : "";
  return `${ROLE[frame.role]} ${own}${nth}`;
}

/** The ambient frame at a frame's settings. */
export function partner(frame: Frame, frames: Frame[]): Frame | undefined {
  return frames.find((f) => f.role === "AMBIENT" && Math.abs(f.stops - frame.stops) < 0.1);
}

/** The first flash frame that stands beside an ambient frame at its settings. */
export function pairedFlash(frames: Frame[]): Frame | undefined {
  return frames.find((f) => f.role === "FLASH" && partner(f, frames));
}

/** The ambient frame nearest to another in exposure. */
export function nearest(frame: Frame, frames: Frame[]): Frame | undefined {
  const away = (f: Frame) => Math.abs(f.stops - frame.stops);
  return frames.filter((f) => f.role === "AMBIENT").sort((a, b) => away(a) - away(b))[0];
}

/** How the casts of a view are measured best. */
export function bestMeasure(frames: Frame[]): Measure {
  const flash = pairedFlash(frames);
  const off = frames.find((f) => f.role === "LAMPS_OFF" && partner(f, frames));
  if (flash) return { source: "FLASH", reference: flash.id };
  return off ? { source: "LIGHTS", reference: off.id } : { source: "SURFACES", reference: "" };
}
