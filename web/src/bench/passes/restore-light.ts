import type { Kind, Region, Shape } from "../../api/types";
import { addPass } from "../edits/passes";
import { addRegion, newPart } from "../edits/regions";
import { defaultsOf } from "../parts/part";
import { useHand } from "../state/hand";
import { recipe } from "../state/history";
import { useView } from "../state/view";
import type { PassUi } from "./pass";

const burnt = (r: Region) => r.parts.some((p) => p.shape.kind === "burnt-light");

/** Restores what is burnt, windows left out, from the darkest frame; all of it can be changed. */
function add(kind: Kind) {
  const { sheet, partKinds } = useView.getState();
  const now = recipe();
  if (!sheet || !now) return;
  const ambient = sheet.frames.filter((f) => f.role === "AMBIENT");
  const darkest = ambient.sort((a, b) => a.stops - b.stops)[0];
  const anchor = sheet.frames.find((f) => f.anchor)?.id ?? "";
  const { region } = useHand.getState();
  const own = now.regions.find((r) => r.id === region && burnt(r)) ?? now.regions.find(burnt);
  const shape = (k: Shape["kind"], rest: object) =>
    ({ kind: k, ...defaultsOf(partKinds, k), ...rest }) as Shape;
  const parts = [newPart(shape("burnt-light", { frame: anchor, bloom: 12 }))];
  if (now.passes.some((p) => p.move.kind === "bring-frame")) {
    parts.push(newPart(shape("window-finder", { grow: 6 }), "TAKE_AWAY"));
  }
  const at = own?.id ?? addRegion("Burnt light", ...parts);
  addPass(kind, at, { frame: darkest?.id ?? anchor });
}

export const restoreLight: PassUi = { kind: "restore-light", add };
