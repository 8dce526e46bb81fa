import { create } from "zustand";
import type { ClearCasts } from "../../api/types";

/** How the casts of a view are measured: from a flash frame, one with the lamps off, or surfaces alone. */
export interface Measure {
  source: ClearCasts["source"];
  reference: string;
}

/** What helps with a stage and lies over the picture. */
export interface HelperState {
  /** Whether the haze map is shown. */
  haze: boolean;
  /** How the casts that are shown were measured. */
  casts?: Measure;
  /** Whether the picture is looked over for faults. */
  watching: boolean;
  /** Whether likely dust is listed. */
  specks: boolean;
  /** Whether times and sizes are shown. */
  details: boolean;
}

const start: HelperState = { haze: false, watching: false, specks: false, details: false };

export const useHelpers = create<HelperState>(() => start);
export const help = useHelpers.setState;

export function resetHelpers() {
  useHelpers.setState(start, true);
}
