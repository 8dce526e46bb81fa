import type { Shape } from "../../api/client";
import { useBench } from "../store";
import { carefulValues } from "../words";

/** Parts that are found in the frames rather than drawn. */
export const FOUND: { name: string; kind: Shape["kind"] }[] = [
  { name: "Tone band", kind: "tone-band" },
  { name: "Window finder", kind: "window-finder" },
  { name: "Burnt light", kind: "burnt-light" },
  { name: "Moving things", kind: "moving" },
  { name: "Another region", kind: "other-region" },
];

/** A shape of a kind with careful values; nothing where the view has none to offer. */
export function firstShape(kind: Shape["kind"]): Shape | undefined {
  const s = useBench.getState();
  const careful = carefulValues(s.partKinds.find((k) => k.kind === kind)?.controls);
  const others = s.recipe?.regions.filter((r) => r.id !== s.region) ?? [];
  const rest: Partial<Record<Shape["kind"], object>> = {
    "tone-band": { look: { from: "GROUND", frame: "" }, tones: "LIGHTS", curve: [] },
    "window-finder": {},
    "burnt-light": { frame: s.sheet?.frames.find((f) => f.anchor)?.id ?? "" },
    moving: {},
  };
  if (kind === "other-region") {
    return others.length > 0 ? { kind, region: others[0].id } : undefined;
  }
  const own = rest[kind];
  return own && ({ kind, ...careful, ...own } as Shape);
}
