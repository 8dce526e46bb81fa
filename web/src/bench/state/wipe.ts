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

/** Lets go of the other side that there is, for another one or none. */
function put(to: Pick<WipeState, "before"> & Partial<WipeState>) {
  useWipe.getState().before?.image.close();
  useWipe.setState(to);
}

export const resetWipe = () => put({ ...start, before: undefined });
export const wipe = (on: boolean) => put({ on, before: undefined });
export const takeBefore = (image: ImageBitmap, raster: Raster) => put({ before: { image, raster } });
