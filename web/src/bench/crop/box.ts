import type { Crop, Lay } from "../../api/types";
import type { ViewSize } from "../lay";

/** A rectangle in the plane of the picture, fractions of the long edge. */
export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

const LEAST = 0.02;

/** What is kept. */
export function keptBox(kept: Lay | undefined, { w, h, long }: ViewSize): Box {
  return kept
    ? { left: kept.left, top: kept.top, width: kept.width / long, height: kept.height / long }
    : { left: 0, top: 0, width: w / long, height: h / long };
}

/**
 * A rectangle with its sides pulled.
 *
 * @param sides which are pulled: −1 left or top, 1 right or bottom, 0 neither; both 0 move it
 * @param ratio width over height that it keeps, 0 for none
 */
export function pulledBox(box: Box, [sx, sy]: [number, number], dx: number, dy: number, ratio: number): Box {
  if (sx === 0 && sy === 0) return { ...box, left: box.left + dx, top: box.top + dy };
  let width = Math.max(LEAST, box.width + sx * dx);
  let height = Math.max(LEAST, box.height + sy * dy);
  if (ratio > 0) {
    if (sx === 0 || (sy !== 0 && width / height < ratio)) width = height * ratio;
    else height = width / ratio;
  }
  // the side that is not pulled stays; between two such sides the middle does
  const left = sx < 0 ? box.left + box.width - width : sx > 0 ? box.left : box.left + (box.width - width) / 2;
  const top = sy < 0 ? box.top + box.height - height : sy > 0 ? box.top : box.top + (box.height - height) / 2;
  return { left, top, width, height };
}

/** A rectangle of another ratio, about the same middle and no larger. */
export function withRatio(box: Box, ratio: number): Box {
  const width = Math.min(box.width, box.height * ratio);
  const height = width / ratio;
  return {
    left: box.left + (box.width - width) / 2,
    top: box.top + (box.height - height) / 2,
    width,
    height,
  };
}

/** The ratios that are offered. */
export const RATIOS: [string, number][] = [
  ["3:2", 3 / 2],
  ["4:3", 4 / 3],
  ["5:4", 5 / 4],
  ["16:9", 16 / 9],
  ["1:1", 1],
  ["4:5", 4 / 5],
  ["3:4", 3 / 4],
  ["2:3", 2 / 3],
  ["9:16", 9 / 16],
];

/** A crop's ratio in words. */
export function ratioWords(crop: Crop): string {
  const known = RATIOS.find(([, r]) => Math.abs(r - crop.ratio) < 1e-6);
  if (known) return known[0];
  return crop.width > 0 ? "free" : "as it is";
}
