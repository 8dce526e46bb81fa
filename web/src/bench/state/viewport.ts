import { create } from "zustand";
import type { Histogram, Point, ProbeReading, Raster } from "../../api/types";
import { placed, piece, pulled, type Placed, type Zoom } from "../geometry";
import { pictureSize } from "./lay";

export type Surround = "grey" | "white" | "dark";

/** A picture of a piece, and where the upper left corner of the whole lay in the plane; pixels at full size. */
export interface Seen {
  image: ImageBitmap;
  raster: Raster;
  corner: Point;
}

/** What of the picture is seen, how large, and what was read in it. */
export interface ViewportState {
  stage: { width: number; height: number };
  zoom: Zoom;
  picture?: Seen;
  histogram?: Histogram;
  serverMs: number;
  roundMs: number;
  /** Round trip of the last picture that was as fine as the screen. */
  sharpMs: number;
  /** Whether a picture is under way. */
  busy: boolean;
  readings: ProbeReading[];
  pointer?: ProbeReading;
  /** Id of the frame that is shown alone. */
  alone: string;
  zebra: boolean;
  colourOff: boolean;
  surround: Surround;
}

const start: Omit<ViewportState, "stage" | "surround"> = {
  zoom: { fit: true, scale: 1, cx: 0, cy: 0 },
  serverMs: 0,
  roundMs: 0,
  sharpMs: 0,
  busy: false,
  readings: [],
  alone: "",
  zebra: false,
  colourOff: false,
};

export const useViewport = create<ViewportState>(() => ({
  ...start,
  stage: { width: 0, height: 0 },
  surround: (localStorage.getItem("surround") as Surround | null) ?? "grey",
}));
const set = useViewport.setState;
const get = useViewport.getState;

/** Forgets the picture; the stage keeps its size. */
export function resetViewport() {
  get().picture?.image.close();
  const { stage, surround } = get();
  set({ ...start, stage, surround }, true);
}

/** Scale at which the picture is drawn, and where its upper left corner lies on the stage. */
export function geometry(s: ViewportState = get()): Placed {
  const { w, h } = pictureSize();
  return placed(w, h, s.stage, s.zoom);
}

/** The piece of the picture that the stage shows. */
export function seen(): Raster | undefined {
  return piece(geometry(), get().stage);
}

/** Puts a picture on the stage, and lets go of the one before. */
export function show(picture: ViewportState["picture"], rest: Partial<ViewportState> = {}) {
  const old = get().picture;
  set({ picture, ...rest });
  if (old && old !== picture) old.image.close();
}

export function showAlone(frame: string) {
  set({ alone: get().alone === frame ? "" : frame });
}

export function resize(width: number, height: number) {
  set({ stage: { width, height } });
}

/** Zooms to a scale with a point of the stage staying where it is. */
export function zoomTo(scale: number, sx?: number, sy?: number) {
  const { stage } = get();
  set({ zoom: pulled(geometry(), stage, scale, sx ?? stage.width / 2, sy ?? stage.height / 2) });
}

export function zoomFit() {
  set({ zoom: { ...get().zoom, fit: true } });
}

/** Brings a place of the picture to the middle, unless all of it is seen; pixels at full size. */
export function lookAt({ x, y }: Point) {
  const { zoom } = get();
  if (!zoom.fit) set({ zoom: { ...zoom, cx: x, cy: y } });
}

export function pan(dx: number, dy: number) {
  const g = geometry();
  const z = get().zoom;
  const cx = z.fit ? g.w / 2 : z.cx;
  const cy = z.fit ? g.h / 2 : z.cy;
  set({ zoom: { fit: false, scale: g.scale, cx: cx - dx / g.scale, cy: cy - dy / g.scale } });
}

export function surround(to: Surround) {
  set({ surround: to });
  localStorage.setItem("surround", to);
}
