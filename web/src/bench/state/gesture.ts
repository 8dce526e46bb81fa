import { create } from "zustand";
import * as history from "./history";

/** Before everything: the anchor as the camera made it. */
export const ANCHOR = "anchor";

/** Before all passes: the ground alone. */
export const ALL = "all";

/** What moves just now; overlays are hidden meanwhile. */
export interface GestureState {
  moving: boolean;
  /** Whether what moves holds still for the moment, so that it can be seen sharp. */
  paused: boolean;
  /** Id of the pass, group or region that was worked on last; empty for the ground. */
  worked: string;
  /** Whether the zebra shows for as long as the control moves. */
  clipping: boolean;
  /** What is left out for as long as a key is held: all passes, those of a stage, or one by its id. */
  before: string;
}

const start: GestureState = { moving: false, paused: false, worked: "", clipping: false, before: "" };

export const useGesture = create<GestureState>(() => start);

/** Until a control counts as resting, so that a row of key strokes is one movement; milliseconds. */
const REST = 180;
let resting: ReturnType<typeof setTimeout> | undefined;

/** Until a control that moves counts as held still; milliseconds. */
const PAUSE = 120;
let pausing: ReturnType<typeof setTimeout> | undefined;

export function resetGesture() {
  clearTimeout(resting);
  clearTimeout(pausing);
  useGesture.setState(start, true);
}

/**
 * A control moves: overlays vanish, the picture follows in a hurry.
 *
 * @param worked id of the pass, group or region that it belongs to
 */
export function move(worked: string, clipping = false) {
  clearTimeout(resting);
  clearTimeout(pausing);
  pausing = setTimeout(() => useGesture.setState({ paused: true }), PAUSE);
  useGesture.setState({ moving: true, paused: false, worked, clipping });
}

/** Something of a pass, group or region changes whose mask stays in sight. */
export function work(worked: string) {
  useGesture.setState({ moving: false, paused: false, worked });
}

/** The gesture is over: one step for the history; overlays come back when the control rests. */
export function settle() {
  clearTimeout(resting);
  if (useGesture.getState().moving) {
    resting = setTimeout(() => useGesture.setState({ moving: false, clipping: false }), REST);
  }
  history.settle();
}

export function showBefore(before: string) {
  if (useGesture.getState().before !== before) useGesture.setState({ before });
}

/** Whether what lies over the picture is hidden. */
export const bare = (s: GestureState) => s.moving || !!s.before;
