import type { Point } from "../../api/types";

const UNIT = 100_000;

export interface Step extends Point {
  /** Pressure, 0 to 1. */
  press?: number;
}

/**
 * A drawn line as recipes keep it: places in hundred-thousandths of the long edge, each but the first from
 * the one before; a third number is the pressure in percent.
 */
export function writePath(line: Step[]): string {
  let x = 0;
  let y = 0;
  return line
    .map((p) => {
      const nx = Math.round(p.x * UNIT);
      const ny = Math.round(p.y * UNIT);
      const text = `${nx - x},${ny - y}`;
      x = nx;
      y = ny;
      return p.press === undefined || p.press >= 0.995 ? text : `${text},${Math.round(p.press * 100)}`;
    })
    .join(" ");
}

/** The places of a drawn line. */
export function readPath(text: string): Point[] {
  let x = 0;
  let y = 0;
  return text
    .split(" ")
    .filter(Boolean)
    .map((place) => {
      const [dx = 0, dy = 0] = place.split(",").map(Number);
      x += dx;
      y += dy;
      return { x: x / UNIT, y: y / UNIT };
    });
}

/** Leaves out places that lie within {@code tolerance} of the line through the others (Douglas, Peucker 1973). */
export function simplified<P extends Point>(line: P[], tolerance: number): P[] {
  const a = line[0];
  const b = line.at(-1);
  if (line.length < 3 || !a || !b) return line;
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  let most = 0;
  let at = 0;
  for (const [i, p] of line.entries()) {
    if (i === 0 || i === line.length - 1) continue;
    const d =
      length === 0
        ? Math.hypot(p.x - a.x, p.y - a.y)
        : Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / length;
    if (d > most) {
      most = d;
      at = i;
    }
  }
  if (most <= tolerance) return [a, b];
  return [
    ...simplified(line.slice(0, at + 1), tolerance).slice(0, -1),
    ...simplified(line.slice(at), tolerance),
  ];
}
