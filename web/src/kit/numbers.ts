/** A number as text, with its sign where it can go either way. */
export function amount(value: number, step: number, unit: string, signed = true): string {
  const places = step >= 1 ? 0 : step >= 0.1 ? 1 : 2;
  const sign = signed && value > 0 && (unit === "st" || unit === "") ? "+" : "";
  const exact = value.toFixed(places).replace("-", "−");
  const number = unit === "%" ? exact.replace(/\.0$/, "") : exact;
  return sign + number + (unit ? " " + unit : "");
}

/** A control's value as text; what is given in percent is kept as a share. */
export function worded(value: number, step: number, unit: string, signed = true): string {
  return unit === "%" ? amount(100 * value, 100 * step, unit, signed) : amount(value, step, unit, signed);
}

/** The number that somebody typed, its unit allowed; nothing where it is none. */
export function typedNumber(text: string, unit: string): number | undefined {
  const plain = text.trim().replace("−", "-").replace(",", ".");
  const bare = unit && plain.endsWith(unit) ? plain.slice(0, -unit.length).trim() : plain;
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(bare)) return undefined;
  return unit === "%" ? Number(bare) / 100 : Number(bare);
}

export const within = (v: number, from: number, to: number) => Math.min(to, Math.max(from, v));

interface Bound {
  name: string;
  /** Name of the number that it has to stay below, empty for none. */
  under: string;
  apart: number;
}

/** A number's new value, held apart from those that it must not pass. */
export function held(bounds: Bound[], now: Record<string, number>, name: string, value: number): number {
  let v = value;
  for (const b of bounds) {
    const other = now[b.name === name ? b.under : b.name];
    if (!b.under || other === undefined) continue;
    if (b.name === name) v = Math.min(v, other - b.apart);
    else if (b.under === name) v = Math.max(v, other + b.apart);
  }
  return Number(v.toFixed(6));
}

/** Stops from one frame to another, with a sign. */
export function stepped(stops: number): string {
  const r = Math.round(stops * 10) / 10;
  return (r > 0 ? "+" : r < 0 ? "−" : "") + Math.abs(r).toFixed(Number.isInteger(r) ? 0 : 1);
}
