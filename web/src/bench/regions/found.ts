import type { Frame, Shape } from "../../api/client";
import { type ToldBy, useBench } from "../store";
import { carefulValues } from "../words";

/** Parts that are found in the frames rather than drawn. */
export const FOUND: { name: string; kind: Shape["kind"] }[] = [
  { name: "Tone band", kind: "tone-band" },
  { name: "Window finder", kind: "window-finder" },
  { name: "Burnt light", kind: "burnt-light" },
  { name: "Moving things", kind: "moving" },
  { name: "Flash hot spots", kind: "flash-trouble" },
  { name: "Another region", kind: "other-region" },
];

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

/** What tells the casts of a view best. */
export function toldBy(frames: Frame[]): ToldBy {
  const flash = pairedFlash(frames);
  const off = frames.find((f) => f.role === "LAMPS_OFF" && partner(f, frames));
  if (flash) return { source: "FLASH", reference: flash.id };
  return off ? { source: "LIGHTS", reference: off.id } : { source: "SURFACES", reference: "" };
}

/** A shape of a kind with careful values; nothing where the view has none to offer. */
export function firstShape(kind: Shape["kind"]): Shape | undefined {
  const s = useBench.getState();
  const careful = carefulValues(s.partKinds.find((k) => k.kind === kind)?.controls);
  const others = s.recipe?.regions.filter((r) => r.id !== s.region) ?? [];
  const frames = s.sheet?.frames ?? [];
  const flash = pairedFlash(frames) ?? frames.find((f) => f.role === "FLASH");
  const rest: Partial<Record<Shape["kind"], object | undefined>> = {
    "tone-band": { look: { from: "GROUND", frame: "" }, tones: "LIGHTS", curve: [] },
    "window-finder": {},
    "burnt-light": { frame: s.sheet?.frames.find((f) => f.anchor)?.id ?? "" },
    moving: {},
    "flash-trouble": flash && { flash: flash.id, trouble: "HOT_SPOT" },
  };
  if (kind === "other-region") {
    return others.length > 0 ? { kind, region: others[0].id } : undefined;
  }
  const own = rest[kind];
  return own && ({ kind, ...careful, ...own } as Shape);
}
