import type { Lay, Point } from "../api/types";

/*
 * Where places of a view lie in its finished picture. The numbers are the server's; places of the view are
 * fractions of its long edge, those of the picture pixels at full size.
 */

export interface ViewSize {
  w: number;
  h: number;
  long: number;
}

type Matrix = readonly number[];

const inverses = new WeakMap<Lay, Matrix>();

/** From the ideal view to the plane. */
function forth(lay: Lay): Matrix {
  const kept = inverses.get(lay);
  if (kept) return kept;
  const [a = 1, b = 0, c = 0, d = 0, e = 1, f = 0, g = 0, h = 0, i = 1] = lay.back;
  const n = a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  const inverse = [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ].map((v) => v / n);
  inverses.set(lay, inverse);
  return inverse;
}

function mapped(
  [a = 1, b = 0, c = 0, d = 0, e = 1, f = 0, g = 0, h = 0, i = 1]: Matrix,
  x: number,
  y: number,
) {
  const w = g * x + h * y + i;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

/** Where a place of the view lies in the plane of the picture, both fractions of the long edge. */
export function inPlane(lay: Lay, { w, h, long }: ViewSize, p: Point): Point {
  const u = p.x - w / long / 2;
  const v = p.y - h / long / 2;
  const r = Math.hypot(u, v) / lay.corner;
  // the radius without the lens's bulge, by Newton's method
  let ideal = r;
  for (let n = 0; n < 12; n++) {
    const q = ideal * ideal;
    const slope = Math.max(0.1, 1 + q * (3 * lay.k1 + 5 * q * lay.k2));
    ideal -= (ideal * (1 + q * (lay.k1 + q * lay.k2)) - r) / slope;
  }
  const k = r === 0 ? 1 : ideal / r;
  const at = mapped(forth(lay), u * k, v * k);
  return { x: at.x + w / long / 2, y: at.y + h / long / 2 };
}

/** Where a place of the view lies in the picture. */
export function shownAt(lay: Lay | undefined, size: ViewSize, p: Point) {
  if (!lay) return { x: p.x * size.long, y: p.y * size.long };
  const at = inPlane(lay, size, p);
  return { x: (at.x - lay.left) * size.long, y: (at.y - lay.top) * size.long };
}

/** The place of the view that lies at a place of the picture. */
export function under(lay: Lay | undefined, { w, h, long }: ViewSize, x: number, y: number): Point {
  if (!lay) return { x: x / long, y: y / long };
  const at = mapped(lay.back, x / long + lay.left - w / long / 2, y / long + lay.top - h / long / 2);
  const q = (at.x * at.x + at.y * at.y) / (lay.corner * lay.corner);
  const k = 1 + q * (lay.k1 + q * lay.k2);
  return { x: at.x * k + w / long / 2, y: at.y * k + h / long / 2 };
}
