import { create } from "zustand";
import * as history from "./history";

/** Before everything: the anchor as the camera made it. */
export const ANCHOR = "anchor";

/** Before all passes: the ground alone. */
export const ALL = "all";

/** What moves just now; overlays are hidden meanwhile. */
export interface GestureState {
  moving: boolean;
  /** Whether something is drawn or pulled just now; its mask stays in sight. */
  reshaping: boolean;
  /** Whether what moves or is drawn holds still for the moment, so that it can be seen sharp. */
  paused: boolean;
  /** Id of the pass, group or region that was worked on last; empty for the ground. */
  worked: string;
  /** Whether the zebra shows for as long as the control moves. */
  clipping: boolean;
  /** What is left out for as long as a key is held: all passes, those of a stage, or one by its id. */
  before: string;
}

const start: GestureState = {
  moving: false,
  reshaping: false,
  paused: false,
  worked: "",
  clipping: false,
  before: "",
};

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

function begun(to: Partial<GestureState>) {
  clearTimeout(resting);
  clearTimeout(pausing);
  pausing = setTimeout(() => useGesture.setState({ paused: true }), PAUSE);
  useGesture.setState({ moving: false, reshaping: false, paused: false, clipping: false, ...to });
}

/**
 * A control moves: overlays vanish, the picture follows in a hurry.
 *
 * @param worked id of the pass, group or region that it belongs to
 */
export function move(worked: string, clipping = false) {
  begun({ moving: true, worked, clipping });
}

/** Something of a pass or region is drawn or pulled: picture and mask follow in a hurry. */
export function reshape(worked: string) {
  begun({ reshaping: true, worked });
}

/** A pass, group or region is what is worked on from now. */
export function work(worked: string) {
  useGesture.setState({ moving: false, reshaping: false, paused: false, worked });
}

/** Whether the picture follows in a hurry. */
export const hurried = (s: GestureState = useGesture.getState()) => (s.moving || s.reshaping) && !s.paused;

/** The gesture is over: one step for the history; overlays come back when the control rests. */
export function settle() {
  clearTimeout(resting);
  const { moving, reshaping } = useGesture.getState();
  if (moving || reshaping) {
    resting = setTimeout(
      () => useGesture.setState({ moving: false, reshaping: false, clipping: false }),
      REST,
    );
  }
  history.settle();
}

export function showBefore(before: string) {
  if (useGesture.getState().before !== before) useGesture.setState({ before });
}

/** Whether what lies over the picture is hidden. */
export const bare = (s: GestureState) => s.moving || !!s.before;
