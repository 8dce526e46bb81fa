import { create } from "zustand";

/** The stages of the work with their keys, in the order of work, and whether they hold passes. */
export const STAGES = [
  { key: "1", name: "Frames", passes: false },
  { key: "2", name: "Ground", passes: false },
  { key: "3", name: "Windows", passes: true },
  { key: "4", name: "Lights", passes: true },
  { key: "5", name: "Tone", passes: true },
  { key: "6", name: "Colour", passes: true },
  { key: "7", name: "Air", passes: true },
  { key: "8", name: "Balance", passes: true },
  { key: "9", name: "Mend", passes: true },
  { key: "0", name: "Finish", passes: true },
];

/** The whole recipe, to be read and reordered. */
export const WHOLE = "All";

const KEPT = "stage";

/** Which stage of the work is open; it stays open from view to view, and when the page is read anew. */
export const useRail = create<{ stage: string }>(() => ({ stage: sessionStorage.getItem(KEPT) ?? WHOLE }));

export function openStage(stage: string) {
  sessionStorage.setItem(KEPT, stage);
  useRail.setState({ stage });
}
