import { create } from "zustand";
import type { Seen } from "./viewport";

/** How the camera's picture is shown against ours: on one side of a line, or beside it. */
export type Against = "" | "wipe" | "beside";

/** The anchor as the camera made it against the picture. */
export interface WipeState {
  mode: Against;
  /** Where the line stands, as a share of the stage's width. */
  at: number;
  before?: Seen;
}

const start: WipeState = { mode: "", at: 0.5 };

export const useWipe = create<WipeState>(() => start);

/** Lets go of the other side that there is, for another one or none. */
function put(to: Pick<WipeState, "before"> & Partial<WipeState>) {
  useWipe.getState().before?.image.close();
  useWipe.setState(to);
}

export const resetWipe = () => put({ ...start, before: undefined });
export const against = (mode: Against) => put({ mode, before: undefined });
/** Lets go of it because the picture lies elsewhere now. */
export const dropBefore = () => put({ before: undefined });
export const takeBefore = (before: Seen) => put({ before });

const NEXT: Record<Against, Against> = { "": "wipe", wipe: "beside", beside: "" };

/** Goes from one way to the next. */
export const nextAgainst = () => against(NEXT[useWipe.getState().mode]);
