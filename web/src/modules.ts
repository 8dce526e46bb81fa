/** What tests call of the web's own logic, without any screen. Built beside the interface, not into it. */
export { backdrop, topOf } from "./bench/histogram";
export { coarser, piece, placed, pulled } from "./bench/geometry";
export { bestMeasure, frameName, nearest, pairedFlash, step } from "./bench/frames";
export { inPlane, shownAt, under } from "./bench/lay";
export { keptBox, pulledBox, withRatio } from "./bench/crop/box";
export { moved as movedGate, shown as shownGate } from "./bench/recipe/gate";
export { Steps } from "./bench/state/steps";
export { readPath, simplified, writePath } from "./bench/tools/path";
export { gateWords, isAll, kelvin, mired } from "./bench/words";
export {
  arrangement,
  changed,
  merge,
  moveFrames,
  planOf,
  planOfViews,
  reconciled,
  split,
  takeOut,
} from "./arrange/plan";
export { amount, entered, factor, held, typedNumber, within, worded } from "./kit/numbers";
export { sentenceText } from "./bench/sentence";
export { shifted } from "./contacts/order";
