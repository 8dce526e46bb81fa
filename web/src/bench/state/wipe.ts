import { create } from "zustand";
import type { Raster } from "../../api/types";

/** The picture's two sides: the anchor as the camera made it on the left of a line, the picture on its right. */
export interface WipeState {
  on: boolean;
  /** Where the line stands, as a share of the stage's width. */
  at: number;
  before?: { image: ImageBitmap; raster: Raster };
}

const start: WipeState = { on: false, at: 0.5 };

export const useWipe = create<WipeState>(() => start);

export function resetWipe() {
  useWipe.getState().before?.image.close();
  useWipe.setState(start, true);
}

export function wipe(on: boolean) {
  useWipe.getState().before?.image.close();
  useWipe.setState({ on, before: undefined });
}

export function takeBefore(image: ImageBitmap, raster: Raster) {
  useWipe.getState().before?.image.close();
  useWipe.setState({ before: { image, raster } });
}
