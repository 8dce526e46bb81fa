import { addPass } from "../edits/passes";
import { bestMeasure } from "../frames";
import { useView } from "../state/view";
import type { PassUi } from "./pass";

/** Begins with what measures the casts of the view best. */
export const clearCasts: PassUi = {
  kind: "clear-casts",
  add: (kind) => addPass(kind, "", { ...bestMeasure(useView.getState().sheet?.frames ?? []) }),
};
