import type { Control, Frame, Gate, Move, Part, Pass, Recipe } from "../api/client";
import { amount } from "../kit/Scale";

export const ALL_TONES: Gate = { from: -100, full: -100, fullTo: 100, to: 100 };

export function isAll(gate: Gate): boolean {
  return gate.from <= -50 && gate.to >= 50;
}

export function gateWords(gate: Gate): string {
  return isAll(gate)
    ? "all tones"
    : `tones ${gate.full.toFixed(1)} to ${gate.fullTo.toFixed(1)} st`.replaceAll("-", "−");
}

/** Stops of a frame against the anchor, as text. */
export function step(frame: Frame, frames: Frame[]): string {
  const anchor = frames.find((f) => f.anchor);
  const d = Math.round((frame.stops - (anchor?.stops ?? 0)) * 10) / 10;
  const digits = Number.isInteger(d) ? 0 : 1;
  return (d > 0 ? "+" : d < 0 ? "−" : "") + Math.abs(d).toFixed(digits);
}

/** A frame's name in sentences. */
export function frameName(frame: Frame | undefined, frames: Frame[]): string {
  if (!frame) return "a frame that is gone";
  const role = {
    AMBIENT: "frame",
    FLASH: "flash frame",
    WINDOW: "window frame",
    LAMPS_OFF: "lamps-off frame",
  }[frame.role];
  const twins = frames.filter((f) => f.role === frame.role && step(f, frames) === step(frame, frames));
  const nth = twins.length > 1 ? ` ${"abcdefgh"[twins.indexOf(frame)]}` : "";
  return `${role} ${step(frame, frames)}${nth}`;
}

export function numbers(move: Move): Record<string, number> {
  return move as unknown as Record<string, number>;
}

export function strengthWords(pass: Pass): string {
  return amount(pass.strength * 100, 1, "%");
}

/** How many passes a region is used by: themselves, by their group, or by way of another region. */
export function uses(recipe: Recipe, region: string): number {
  const above = (id: string): string[] => [
    id,
    ...recipe.regions
      .filter((r) =>
        r.parts.some(
          ({ shape }) =>
            (shape.kind === "other-region" && shape.region === id) ||
            (shape.kind === "brush" && shape.limit === id),
        ),
      )
      .flatMap((r) => above(r.id)),
  ];
  const all = above(region);
  const groups = recipe.groups.filter((g) => all.includes(g.where.region)).map((g) => g.id);
  return recipe.passes.filter((p) => all.includes(p.where.region) || groups.includes(p.group)).length;
}

export function newId(): string {
  return Math.random().toString(36).slice(2, 10);
}

export function bytes(value: unknown): string {
  const n = JSON.stringify(value).length;
  return n < 1000 ? `${n} B` : `${(n / 1000).toFixed(1)} KB`;
}

const TONES = { LIGHTS: "Lights", DARKS: "Darks", MIDTONES: "Midtones", CURVE: "Curve over the tones" };

/** What a part is called on the region card. */
export function partName(part: Part): string {
  const s = part.shape;
  switch (s.kind) {
    case "outline":
      return `Outline of ${s.points.length} points`;
    case "brush":
      return `Brush, ${s.strokes.length} ${s.strokes.length === 1 ? "stroke" : "strokes"}`;
    case "tone-band": {
      const n = s.tones === "CURVE" ? "" : ` ${Number(s.exponent.toFixed(2))}`;
      const less = s.tones !== "CURVE" && s.less >= 1 ? ` less ${Number(s.less.toFixed(2))}` : "";
      return TONES[s.tones] + n + less;
    }
    default:
      return s.kind[0].toUpperCase() + s.kind.slice(1).replace("-", " ");
  }
}

/** Ids of the frames that the picture is made from, those of switched-off passes left out. */
export function framesUsed(recipe: Recipe): string[] {
  const ground = recipe.ground.kind === "one-frame" ? [recipe.ground.frame] : recipe.ground.frames;
  const passes = recipe.passes
    .filter((p) => p.on)
    .flatMap((p) => {
      const move = p.move as unknown as Record<string, unknown>;
      return ["frame", "with", "without", "flash", "ambient"].map((k) => String(move[k] ?? ""));
    });
  return [...new Set([...ground, ...passes])].filter(Boolean);
}

/** The careful values of controls, by name. */
export function carefulValues(controls: Control[] = []): Record<string, number> {
  return Object.fromEntries(controls.map((c) => [c.name, c.careful]));
}

/** The light that comes out neutral when a picture is made warmer by so many mired: 10⁶ K / mired, from 6504 K. */
export function kelvin(warmer: number): string {
  const k = 1e6 / Math.max(40, 1e6 / 6504 - warmer);
  return String(Math.round(k / 10) * 10);
}
