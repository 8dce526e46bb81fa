import { look } from "../../theme";
import { geometry, type BenchState } from "../store";

/** Draws the picture, zebra and veil onto the stage's canvas. */
export function paint(canvas: HTMLCanvasElement, s: BenchState) {
  const c = canvas.getContext("2d")!;
  const { width, height } = s.stage;
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  c.fillStyle = look.surround[s.surround];
  c.fillRect(0, 0, width, height);
  if (!s.picture) return;
  const g = geometry(s);
  const { raster, image } = s.picture;
  const k = g.scale / raster.scale;
  c.imageSmoothingEnabled = g.scale < 1.5;
  c.filter = s.colourOff ? "grayscale(1)" : "none";
  c.drawImage(image, g.ox + raster.x * k, g.oy + raster.y * k, raster.width * k, raster.height * k);
  c.filter = "none";
  if (s.zebra || s.clipping)
    zebra(c, g.ox, g.oy, Math.round(g.w * g.scale), Math.round(g.h * g.scale), width, height);
  if (!s.moving && s.veil !== "off" && !s.before && !s.alone) veil(c, s);
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
      const top = Math.max(d[i], d[i + 1], d[i + 2]);
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

function hatched(c: CanvasRenderingContext2D): CanvasPattern {
  if (hatch) return hatch;
  const tile = document.createElement("canvas");
  tile.width = tile.height = 8;
  const t = tile.getContext("2d")!;
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
  hatch = c.createPattern(tile, "repeat")!;
  return hatch;
}

const sheet = typeof document === "undefined" ? undefined : document.createElement("canvas");
let drawnFor: ImageBitmap | undefined;
let edge: HTMLCanvasElement | undefined;
let alpha: HTMLCanvasElement | undefined;

/** The mask as a canvas whose alpha is the share outside, and its two-tone edge. */
function prepare(image: ImageBitmap) {
  if (drawnFor === image) return;
  drawnFor = image;
  alpha = document.createElement("canvas");
  edge = document.createElement("canvas");
  alpha.width = edge.width = image.width;
  alpha.height = edge.height = image.height;
  const a = alpha.getContext("2d")!;
  a.drawImage(image, 0, 0);
  const data = a.getImageData(0, 0, image.width, image.height);
  const d = data.data;
  const w = image.width;
  const h = image.height;
  const line = new ImageData(w, h);
  const inside = (x: number, y: number) => d[(y * w + x) * 4] >= 128;
  for (let y = 1; y < h - 1; y++) {
    for (let x = 1; x < w - 1; x++) {
      const here = inside(x, y);
      const border =
        here !== inside(x - 1, y) ||
        here !== inside(x + 1, y) ||
        here !== inside(x, y - 1) ||
        here !== inside(x, y + 1);
      if (!border) continue;
      const i = (y * w + x) * 4;
      const v = here ? 25 : 255;
      line.data[i] = line.data[i + 1] = line.data[i + 2] = v;
      line.data[i + 3] = 220;
    }
  }
  edge.getContext("2d")!.putImageData(line, 0, 0);
  for (let i = 0; i < d.length; i += 4) d[i + 3] = 255 - d[i];
  a.putImageData(data, 0, 0);
}

function veil(c: CanvasRenderingContext2D, s: BenchState) {
  if (!s.mask || !sheet || (s.hovered || s.region) !== s.mask.region) return;
  prepare(s.mask.image);
  const g = geometry(s);
  const { raster } = s.mask;
  const k = g.scale / raster.scale;
  const box = [g.ox + raster.x * k, g.oy + raster.y * k, raster.width * k, raster.height * k] as const;
  if (s.veil === "mono") {
    c.drawImage(s.mask.image, ...box);
    return;
  }
  if (s.veil === "line") {
    c.drawImage(edge!, ...box);
    return;
  }
  if (s.veil === "tint") {
    tinted(c, s, box);
    return;
  }
  sheet.width = s.stage.width;
  sheet.height = s.stage.height;
  const v = sheet.getContext("2d")!;
  v.drawImage(alpha!, ...box);
  v.globalCompositeOperation = "source-in";
  v.fillStyle = hatched(v);
  v.fillRect(0, 0, sheet.width, sheet.height);
  c.drawImage(sheet, 0, 0);
  c.drawImage(edge!, ...box);
}

/** The inside in a colour of the user's choice. */
function tinted(c: CanvasRenderingContext2D, s: BenchState, box: readonly [number, number, number, number]) {
  sheet!.width = s.stage.width;
  sheet!.height = s.stage.height;
  const v = sheet!.getContext("2d")!;
  v.fillStyle = s.tint;
  v.fillRect(...box);
  v.globalCompositeOperation = "destination-out";
  v.drawImage(alpha!, ...box);
  c.globalAlpha = 0.55;
  c.drawImage(sheet!, 0, 0);
  c.globalAlpha = 1;
}
