import { create } from "zustand";
import type { MaskAnswer, Raster, Region } from "../../api/types";
import { useHand } from "./hand";
import { recipe } from "./history";

export type Veil = "veil" | "mono" | "line" | "tint" | "off";

/** How regions are shown on the picture and on the shelf. */
export interface MaskState {
  /** The mask on the stage, of the region that it says. */
  mask?: { region: string; image: ImageBitmap; raster: Raster };
  /** Small masks by region, each of the region as it then was. */
  thumbs: Record<string, { of: Region; image: ImageBitmap; share: number }>;
  hovered: string;
  /** Whether what is hovered works outside of that region. */
  outside: boolean;
  veil: Veil;
  tint: string;
}

export const useMasks = create<MaskState>(() => ({
  thumbs: {},
  hovered: "",
  outside: false,
  veil: "veil",
  tint: localStorage.getItem("tint") ?? "#35566f",
}));
const set = useMasks.setState;
const get = useMasks.getState;

/** Slots of mask requests: the one on the stage, and one for each small mask. */
export const STAGE = "stage";
const THUMB = "thumb ";
export const thumbSlot = (region: string) => THUMB + region;

export function resetMasks() {
  dropMask();
  Object.values(get().thumbs).forEach((t) => t.image.close());
  set({ thumbs: {}, hovered: "" });
}

/** The region whose mask is wanted on the stage. */
export function wanted(): string {
  return get().hovered || useHand.getState().region;
}

/** Whether the region is shown as the chosen pass, or the word that is pointed at, works: outside of it. */
export function turned(): boolean {
  const { hovered, outside } = get();
  if (hovered) return outside;
  const { pass, region, sheet } = useHand.getState();
  const where = recipe()?.passes.find((p) => p.id === pass)?.where;
  return !sheet && where?.region === region && !!where.outside;
}

export function dropMask() {
  get().mask?.image.close();
  set({ mask: undefined });
}

/** Takes a mask that came; it belongs to the region that it says, whatever is hovered by now. */
export function takeMask(head: MaskAnswer, image: ImageBitmap, of: Region | undefined) {
  if (head.slot === STAGE) {
    const old = get().mask;
    set({ mask: { region: head.region, image, raster: head.raster } });
    old?.image.close();
  } else if (of) {
    const old = get().thumbs[head.region];
    set({ thumbs: { ...get().thumbs, [head.region]: { of, image, share: head.share } } });
    old?.image.close();
  } else {
    image.close();
  }
}

/** Lets go of small masks whose region is gone. */
export function keepThumbs(regions: Region[]) {
  const gone = Object.keys(get().thumbs).filter((id) => !regions.some((r) => r.id === id));
  if (gone.length === 0) return;
  const thumbs = { ...get().thumbs };
  gone.forEach((id) => {
    thumbs[id]?.image.close();
    delete thumbs[id];
  });
  set({ thumbs });
}

export function hover(region: string, outside = false) {
  set({ hovered: region, outside });
}

export function showAs(veil: Veil) {
  set({ veil });
}

export function tintWith(tint: string) {
  set({ tint });
  localStorage.setItem("tint", tint);
}
