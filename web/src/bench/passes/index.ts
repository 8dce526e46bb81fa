import type { Kind } from "../../api/types";
import { addPass } from "../edits/passes";
import { useHand } from "../state/hand";
import { recipe } from "../state/history";
import { useView } from "../state/view";
import { borrowed } from "./borrowed";
import { clearCasts } from "./clear-casts";
import { curve } from "./curve";
import { dodgeBurn } from "./dodge-burn";
import { looped } from "./looped";
import type { PassUi } from "./pass";
import { restoreLight } from "./restore-light";
import { vignette } from "./vignette";

/** Kinds of passes that need more than the catalogue says, one line a kind. */
const ALL: PassUi[] = [curve, restoreLight, clearCasts, vignette, dodgeBurn, ...looped, ...borrowed];

export const passUi = (kind: string): PassUi | undefined => ALL.find((p) => p.kind === kind);

/** Adds a pass as it is careful to begin. */
export function add(kind: Kind) {
  const own = passUi(kind.kind)?.add;
  if (own) {
    own(kind);
    return;
  }
  const frames = useView.getState().sheet?.frames ?? [];
  const window = frames.find((f) => f.role === "WINDOW") ?? [...frames].sort((a, b) => a.stops - b.stops)[0];
  const anchor = frames.find((f) => f.anchor) ?? window;
  const frame = (kind.stage === "Windows" ? window : anchor)?.id ?? "";
  const first = kind.asksRegion ? recipe()?.regions[0]?.id : undefined;
  addPass(kind, useHand.getState().region || (first ?? ""), { frame });
}
