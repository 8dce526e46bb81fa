import { create } from "zustand";
import type { Kind, Numbered, Pass, ViewSheet } from "../../api/types";

/** The view that one sits at, what the product can do, and how the line to the server stands. */
export interface ViewState {
  sheet?: ViewSheet;
  kinds: Kind[];
  partKinds: Numbered[];
  groundKinds: Numbered[];
  connected: boolean;
  /** Something that went wrong, said plainly. */
  problem?: string;
  /** Why the view cannot be opened at all. */
  missing?: string;
}

const start: ViewState = { kinds: [], partKinds: [], groundKinds: [], connected: false };

export const useView = create<ViewState>(() => start);

export function resetView() {
  useView.setState(start, true);
}

/** The kind of a pass, from the catalogue. */
export function kindOf(pass: Pass | undefined, { kinds } = useView.getState()): Kind | undefined {
  return kinds.find((k) => k.kind === pass?.move.kind);
}

/** Says what went wrong; nothing takes it off the screen. */
export function complain(problem: string | undefined) {
  useView.setState({ problem });
}

/** The view's size and long edge, pixels at full size. */
export function fullSize() {
  const { sheet } = useView.getState();
  const w = sheet?.width ?? 1;
  const h = sheet?.height ?? 1;
  return { w, h, long: Math.max(w, h) };
}
