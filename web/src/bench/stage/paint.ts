import { shallow } from "zustand/shallow";
import { look } from "../../theme";
import { hurried, useGesture } from "../state/gesture";
import { turned, useMasks, wanted, type MaskState } from "../state/masks";
import { corner, pictureSize } from "../state/lay";
import { geometry, useViewport, type Seen, type ViewportState } from "../state/viewport";
import { useWipe } from "../state/wipe";

/** A stage's canvas, as large as the stage and empty. */
export function surface(canvas: HTMLCanvasElement, s: ViewportState): CanvasRenderingContext2D | null {
  const { width, height } = s.stage;
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  const c = canvas.getContext("2d");
  if (c) {
    c.fillStyle = look.surround[s.surround];
    c.fillRect(0, 0, width, height);
  }
  return c;
}

/** Draws a piece of the picture where it belongs. */
export function placedImage(
  c: CanvasRenderingContext2D,
  s: ViewportState,
  { image, raster, corner: was }: Seen,
) {
  const g = geometry(s);
  const k = g.scale / raster.scale;
  const now = corner();
  c.imageSmoothingEnabled = g.scale < 1.5;
  c.filter = s.colourOff ? "grayscale(1)" : "none";
  const x = g.ox + raster.x * k + (was.x - now.x) * g.scale;
  const y = g.oy + raster.y * k + (was.y - now.y) * g.scale;
  c.drawImage(image, x, y, raster.width * k, raster.height * k);
  c.filter = "none";
}

/** All that {@link paint} draws from: while it stays the same the canvas does. */
export function painted(): readonly unknown[] {
  const { picture, stage, zoom, surround, colourOff, alone, zebra } = useViewport.getState();
  const { moving, before, clipping } = useGesture.getState();
  const { mode, at, before: other } = useWipe.getState();
  const { mask, veil, tint } = useMasks.getState();
  const { x, y } = corner();
  const { w, h } = pictureSize();
  return [
    ...[picture, stage, zoom, surround, colourOff, alone, zebra, moving, before, clipping, mode, at, other],
    ...[mask, veil, tint, wanted(), turned(), x, y, w, h],
  ];
}

/** Whether the next picture of what is drawn by hand is on its way: the mask of the last one is shown with it. */
export function awaited([last]: readonly unknown[]): boolean {
  const { picture, busy } = useViewport.getState();
  return useGesture.getState().reshaping && hurried() && busy && picture === last;
}

/** Draws the picture, zebra and veil onto the stage's canvas. */
export function paint(canvas: HTMLCanvasElement) {
  const s = useViewport.getState();
  const { moving, before, clipping } = useGesture.getState();
  const c = surface(canvas, s);
  if (!c || !s.picture) return;
  const { width, height } = s.stage;
  const g = geometry(s);
  placedImage(c, s, s.picture);
  const { mode, at, before: other } = useWipe.getState();
  if (mode === "wipe" && other && !before && !s.alone) {
    c.save();
    c.beginPath();
    c.rect(0, 0, at * width, height);
    c.clip();
    placedImage(c, s, other);
    c.restore();
  }
  if (s.zebra || clipping)
    zebra(c, g.ox, g.oy, Math.round(g.w * g.scale), Math.round(g.h * g.scale), width, height);
  const masks = useMasks.getState();
  if (!moving && masks.veil !== "off" && !before && !s.alone) veil(c, s, masks);
}

/** Diagonal stripes: one way where burnt, the other where blocked. */
function zebra(
  c: CanvasRenderingContext2D,
  ox: number,
  oy: number,
  w: number,
  h: number,
  sw: number,
  sh: number,
) {
  const x0 = Math.max(0, ox);
  const y0 = Math.max(0, oy);
  const x1 = Math.min(sw, ox + w);
  const y1 = Math.min(sh, oy + h);
  if (x1 <= x0 || y1 <= y0) return;
  const data = c.getImageData(x0, y0, x1 - x0, y1 - y0);
  const d = data.data;
  for (let y = 0; y < data.height; y++) {
    for (let x = 0; x < data.width; x++) {
      const i = (y * data.width + x) * 4;
      const top = Math.max(d[i] ?? 0, d[i + 1] ?? 0, d[i + 2] ?? 0);
      if (top >= 254) {
        const v = (x + y) % 8 < 4 ? 20 : 255;
        d[i] = d[i + 1] = d[i + 2] = v;
      } else if (top <= 2) {
        const v = (x - y + 100000) % 8 < 4 ? 235 : 0;
        d[i] = d[i + 1] = d[i + 2] = v;
      }
    }
  }
  c.putImageData(data, x0, y0);
}

let hatch: CanvasPattern | null = null;

function hatched(c: CanvasRenderingContext2D): CanvasPattern | string {
  hatch ??= pattern(c);
  return hatch ?? "rgba(128,128,128,0.42)";
}

function pattern(c: CanvasRenderingContext2D): CanvasPattern | null {
  const tile = document.createElement("canvas");
  tile.width = tile.height = 8;
  const t = tile.getContext("2d");
  if (!t) return null;
  t.fillStyle = "rgba(128,128,128,0.42)";
  t.fillRect(0, 0, 8, 8);
  t.strokeStyle = "rgba(238,238,238,0.5)";
  t.lineWidth = 1.4;
  t.beginPath();
  for (const o of [-8, 0, 8]) {
    t.moveTo(o, 8);
    t.lineTo(o + 8, 0);
  }
  t.stroke();
  return c.createPattern(tile, "repeat");
}

/** A mask made ready: a canvas whose alpha is what is left alone, and its two-tone edge. */
interface Ready {
  of: ImageBitmap;
  /** Whether what lies inside is left alone. */
  turned: boolean;
  alpha: HTMLCanvasElement;
  edge: HTMLCanvasElement;
}

let ready: Ready | undefined;

function prepare(image: ImageBitmap, turned: boolean): Ready | undefined {
  if (ready?.of === image && ready.turned === turned) return ready;
  const alpha = ready?.alpha ?? document.createElement("canvas");
  const edge = ready?.edge ?? document.createElement("canvas");
  const w = (alpha.width = edge.width = image.width);
  const h = (alpha.height = edge.height = image.height);
  const a = alpha.getContext("2d", { willReadFrequently: true });
  if (!a) return undefined;
  a.drawImage(image, 0, 0);
  const data = a.getImageData(0, 0, w, h);
  const d = data.data;
  edge.getContext("2d", { willReadFrequently: true })?.putImageData(edges(d, w, h), 0, 0);
  for (let i = 0; i < d.length; i += 4) d[i + 3] = turned ? (d[i] ?? 0) : 255 - (d[i] ?? 0);
  a.putImageData(data, 0, 0);
  ready = { of: image, turned, alpha, edge };
  return ready;
}

/** The line between inside and outside: dark within, light without. */
function edges(d: Uint8ClampedArray, w: number, h: number): ImageData {
  const line = new ImageData(w, h);
  const row = w * 4;
  for (let y = 1; y < h - 1; y++) {
    for (let i = y * row + 4, end = (y + 1) * row - 4; i < end; i += 4) {
      const here = (d[i] ?? 0) >> 7;
      // the four neighbours are all on its side
      const same =
        ((d[i - 4] ?? 0) >> 7) + ((d[i + 4] ?? 0) >> 7) + ((d[i - row] ?? 0) >> 7) + ((d[i + row] ?? 0) >> 7);
      if (same === here * 4) continue;
      line.data.fill(here ? 25 : 255, i, i + 3);
      line.data[i + 3] = 220;
    }
  }
  return line;
}

type Box = readonly [number, number, number, number];

function veil(c: CanvasRenderingContext2D, s: ViewportState, masks: MaskState) {
  const { mask } = masks;
  if (!mask || wanted() !== mask.region) return;
  const made = prepare(mask.image, turned());
  if (!made) return;
  const g = geometry(s);
  const { raster } = mask;
  const k = g.scale / raster.scale;
  const box: Box = [g.ox + raster.x * k, g.oy + raster.y * k, raster.width * k, raster.height * k];
  if (masks.veil === "mono") c.drawImage(mask.image, ...box);
  else if (masks.veil === "line") c.drawImage(made.edge, ...box);
  else {
    const tint = masks.veil === "tint" ? masks.tint : undefined;
    // what is worked on in a colour of the user's choice
    if (tint) c.globalAlpha = 0.55;
    const film = filmOf(s, made, box, tint);
    if (film) c.drawImage(film, 0, 0);
    c.globalAlpha = 1;
    if (!tint) c.drawImage(made.edge, ...box);
  }
}

/** A sheet over the stage, and what it was made from. */
let film: { on: HTMLCanvasElement; from: readonly unknown[] } | undefined;

/** A sheet over the stage on which the outside is hatched, or cut out of a colour; kept until it is another one. */
function filmOf(s: ViewportState, made: Ready, box: Box, colour: string | undefined) {
  const { width, height } = s.stage;
  const from = [made, width, height, colour, ...box];
  if (film && shallow(film.from, from)) return film.on;
  const on = film?.on ?? document.createElement("canvas");
  on.width = width;
  on.height = height;
  film = { on, from };
  const v = on.getContext("2d");
  if (!v) return undefined;
  if (colour) {
    v.fillStyle = colour;
    v.fillRect(...box);
  }
  v.globalCompositeOperation = colour ? "destination-out" : "source-over";
  v.drawImage(made.alpha, ...box);
  if (!colour) {
    v.globalCompositeOperation = "source-in";
    v.fillStyle = hatched(v);
    v.fillRect(0, 0, width, height);
  }
  return on;
}
