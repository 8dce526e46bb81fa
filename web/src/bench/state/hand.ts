import { create } from "zustand";
import type { Part, Point } from "../../api/types";
import { cut, useLay } from "./lay";
import { showAlone, useViewport } from "./viewport";

/** How the brush is set; size in pixels at full size. */
export interface BrushTip {
  size: number;
  softness: number;
  flow: number;
  /** Colour difference at which paint stops, where {@link stops} says so. */
  stop: number;
  stops: boolean;
  erasingStops: boolean;
  /** Id of the region that alone takes the paint of the next brush; empty for all. */
  inside: string;
}

/** What is chosen, and the tool in hand. */
export interface HandState {
  pass: string;
  region: string;
  /** Whether the sheet of the region is open over the recipe. */
  sheet: boolean;
  part: string;
  /** "look", "probe", or the kind of part that is drawn. */
  tool: string;
  /** How the next part joins. */
  combine: Part["combine"];
  brush: BrushTip;
  /** Points of an outline that is not closed yet. */
  draft: Point[];
}

const start: HandState = {
  pass: "",
  region: "",
  sheet: false,
  part: "",
  tool: "look",
  combine: "ADD",
  brush: { size: 120, softness: 0.5, flow: 1, stop: 18, stops: false, erasingStops: false, inside: "" },
  draft: [],
};

export const useHand = create<HandState>(() => start);
export const take = useHand.setState;

export function resetHand() {
  useHand.setState(start, true);
}

/** Leaves whatever is being drawn. */
export function leaveTool() {
  take({ draft: [], tool: "look" });
}

export function choosePart(part: string) {
  take({ part: useHand.getState().part === part ? "" : part });
}

/** Selects a region and opens its sheet; none with an empty id. A tool for another region is left. */
export function chooseRegion(region: string) {
  take({ region, sheet: !!region, part: "", draft: [], tool: "look" });
}

/** Opens a pass; its region is selected, but its sheet stays shut. */
export function choosePass(pass: string, region: string) {
  take(region ? { pass, region, sheet: false, part: "" } : { pass });
}

/** One step back: the draft, the tool, the frame shown alone, the part, the sheet, the pass, the region. */
export function stepBack() {
  const { draft, tool, part, sheet, pass } = useHand.getState();
  if (draft.length > 0) take({ draft: [] });
  else if (tool !== "look") take({ tool: "look" });
  else if (useViewport.getState().alone) showAlone("");
  else if (sheet && part) take({ part: "" });
  else if (sheet) take({ sheet: false });
  else if (useLay.getState().cutting) cut(false);
  else if (pass) take({ pass: "" });
  else take({ region: "", part: "" });
}
