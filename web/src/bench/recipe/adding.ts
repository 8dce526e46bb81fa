import type { Kind, Region, Shape } from "../../api/client";
import { addPass, addRegion, newPart, useBench } from "../store";
import { carefulValues } from "../words";
import { toldBy } from "../regions/found";

/** Restores what is burnt, windows left out, from the darkest frame; all of it can be changed. */
function restoreLight(kind: Kind) {
  const { sheet, recipe, partKinds, region } = useBench.getState();
  const frames = sheet!.frames;
  const darkest = [...frames].filter((f) => f.role === "AMBIENT").sort((a, b) => a.stops - b.stops)[0];
  const anchor = frames.find((f) => f.anchor) ?? frames[0];
  const careful = (k: string) => carefulValues(partKinds.find((p) => p.kind === k)?.controls);
  const burnt = (r: Region) => r.parts.some((p) => p.shape.kind === "burnt-light");
  const own = recipe!.regions.find((r) => r.id === region && burnt(r)) ?? recipe!.regions.find(burnt);
  const parts = [
    newPart({ kind: "burnt-light", ...careful("burnt-light"), frame: anchor.id, bloom: 12 } as Shape),
  ];
  if (recipe!.passes.some((p) => p.move.kind === "bring-frame")) {
    parts.push(
      newPart({ kind: "window-finder", ...careful("window-finder"), grow: 6 } as Shape, "TAKE_AWAY"),
    );
  }
  const at = own?.id ?? addRegion("Burnt light", ...parts);
  addPass(kind, at, { frame: darkest?.id ?? anchor.id });
}

/** Adds a pass with what it is careful to begin with. */
export function add(kind: Kind) {
  const { sheet, recipe, region } = useBench.getState();
  const frames = sheet!.frames;
  if (kind.kind === "restore-light") {
    restoreLight(kind);
    return;
  }
  if (kind.kind === "clear-casts") {
    addPass(kind, "", { ...toldBy(frames) });
    return;
  }
  const window = frames.find((f) => f.role === "WINDOW") ?? [...frames].sort((a, b) => a.stops - b.stops)[0];
  const anchorId = frames.find((f) => f.anchor)?.id ?? window.id;
  const frame = kind.stage === "Windows" ? window.id : anchorId;
  addPass(kind, kind.asksRegion ? region || (recipe!.regions[0]?.id ?? "") : "", { frame });
}
