import type { Gate } from "../api/types";
import { amountWords } from "../kit/numbers";

export const ALL_TONES: Gate = { from: -100, full: -100, fullTo: 100, to: 100 };

export const isAll = (gate: Gate) => fromBlack(gate) && toWhite(gate);

/** Whether a gate lets the darkest tones through. */
const fromBlack = (gate: Gate) => gate.from <= -50;

/** Whether it lets the lightest through. */
const toWhite = (gate: Gate) => gate.to >= 50;

/** The tones that a gate lets through. */
export function gateWords(gate: Gate): string {
  if (isAll(gate)) return "in all tones";
  const words = (v: number, unit: string) => amountWords(Math.round(10 * v) / 10, unit);
  const to = words(gate.fullTo, "st");
  if (fromBlack(gate)) return `only in tones up to ${to}`;
  if (toWhite(gate)) return `only in tones from ${words(gate.full, "st")} up`;
  return `only in tones from ${words(gate.full, "")} to ${to}`;
}

export function newId(): string {
  return Math.random().toString(36).slice(2, 10);
}

export function bytes(value: unknown): string {
  const n = JSON.stringify(value).length;
  return n < 1000 ? `${n} B` : `${(n / 1000).toFixed(1)} KB`;
}

/** How many of something: "1 pass", "3 passes". */
export function count(n: number, one: string, many: string): string {
  return `${n} ${n === 1 ? one : many}`;
}

/** Mired of the light that is neutral while nothing is made warmer. */
const DAYLIGHT = 1e6 / 6504;

/** The light that is neutral when a picture is made warmer by so many mired: 10⁶ K / mired, from 6504 K. */
export function kelvin(warmer: number): string {
  const k = 1e6 / Math.max(40, DAYLIGHT - warmer);
  return String(Math.round(k / 10) * 10);
}

/** How much warmer a picture is to be made so that this light is neutral, mired. */
export function mired(light: number): number {
  return DAYLIGHT - 1e6 / light;
}

/** How much of their texture lifted darks keep: 1 all of it, 0 none. */
export function slopeOfDarks(slope: number): string {
  return `slope of the lifted darks ${Math.max(0, slope).toFixed(2)}`;
}
