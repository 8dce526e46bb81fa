/** A number as text, with its sign where it can go either way. */
export function amount(value: number, step: number, unit: string, signed = true): string {
  const places = step >= 1 ? 0 : step >= 0.1 ? 1 : 2;
  const sign = signed && value > 0 && (unit === "st" || unit === "") ? "+" : "";
  const exact = value.toFixed(places).replace("-", "−");
  const number = unit === "%" ? exact.replace(/\.0$/, "") : exact;
  return sign + number + (unit ? " " + unit : "");
}

/** Whether a share is a factor about 1, which is said as so much more or less. */
export function factor({ unit, neutral, to }: { unit: string; neutral?: number; to: number }): boolean {
  return unit === "%" && neutral === 1 && to > 1;
}

/**
 * A control's value as text. What is given in percent is kept as a share; in "±%" as a factor, of which is
 * said how far it stands from 1.
 */
export function worded(value: number, step: number, unit: string, signed = true): string {
  if (unit === "±%") return (value > 1 ? "+" : "") + amount(100 * (value - 1), 100 * step, "%");
  return unit === "%" ? amount(100 * value, 100 * step, unit, signed) : amount(value, step, unit, signed);
}

const BARE: Record<string, (n: number) => number> = { "%": (n) => n / 100, "±%": (n) => 1 + n / 100 };

/** The number that somebody typed, its unit allowed; nothing where it is none. */
export function typedNumber(text: string, unit: string): number | undefined {
  const plain = text.trim().replace("−", "-").replace(",", ".");
  const sign = unit.replace("±", "");
  const bare = sign && plain.endsWith(sign) ? plain.slice(0, -sign.length).trim() : plain;
  if (!/^[+-]?(\d+\.?\d*|\.\d+)$/.test(bare)) return undefined;
  return BARE[unit]?.(Number(bare)) ?? Number(bare);
}

/**
 * What somebody typed into a field that holds a number: an absolute number; or, without a unit, how much to
 * add ("+0.3", "+-0.3"), to multiply by ("*2") or to divide by ("/2"). Nothing where it is none of these.
 */
export function entered(text: string, unit: string, now: number): number | undefined {
  const [, sign, rest = ""] = /^\s*([+*/])(.*)$/.exec(text) ?? [];
  if (!sign || (unit && text.trim().endsWith(unit.replace("±", "")))) return typedNumber(text, unit);
  const by = typedNumber(rest, sign === "+" ? unit.replace("±", "") : "");
  if (by === undefined || (sign === "/" && by === 0)) return undefined;
  const zero = unit === "±%" ? 1 : 0;
  const off = now - zero;
  return Number((zero + (sign === "+" ? off + by : sign === "*" ? off * by : off / by)).toFixed(6));
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

/** A number with its unit in words: "0.9 stops", "40 %", "−20 mired". */
export function amountWords(v: number, unit: string): string {
  if (unit === "%") return `${plain(Math.round(1000 * v) / 10)} %`;
  if (unit === "st") return `${plain(v)} ${Math.abs(v) === 1 ? "stop" : "stops"}`;
  return plain(v) + (unit && unit !== "°" ? " " : "") + unit;
}

function plain(v: number): string {
  const bare = Math.abs(v)
    .toFixed(2)
    .replace(/\.?0+$/, "");
  return (v < 0 && bare !== "0" ? "−" : "") + bare;
}

/** A number with its sign. */
export const signed = (v: number) => (v > 0 ? "+" : "") + v.toFixed(1).replace("-", "−");
