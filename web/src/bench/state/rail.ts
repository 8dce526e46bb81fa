import { create } from "zustand";

/** The stages of the work with their keys, in the order of work. */
export const STAGES = [
  { key: "1", name: "Frames" },
  { key: "2", name: "Ground" },
  { key: "3", name: "Windows" },
  { key: "4", name: "Lights" },
  { key: "5", name: "Tone" },
  { key: "6", name: "Colour" },
  { key: "7", name: "Air" },
  { key: "8", name: "Balance" },
  { key: "9", name: "Mend" },
  { key: "0", name: "Finish" },
];

/** The stages that hold no passes. */
const BEFORE_PASSES = ["Frames", "Ground"];

/** The stages that hold passes, of those that a catalogue knows. */
export const stagesOfPasses = (kinds: { stage: string }[]) =>
  STAGES.filter((s) => !BEFORE_PASSES.includes(s.name) && kinds.some((k) => k.stage === s.name));

/** The whole recipe, to be read and reordered. */
export const WHOLE = "All";

const KEPT = "stage";

/** Which stage of the work is open; it stays open from view to view, and when the page is read anew. */
export const useRail = create<{ stage: string }>(() => ({ stage: sessionStorage.getItem(KEPT) ?? WHOLE }));

export function openStage(stage: string) {
  sessionStorage.setItem(KEPT, stage);
  useRail.setState({ stage });
}
