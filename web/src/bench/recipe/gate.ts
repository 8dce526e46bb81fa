import type { Gate } from "../../api/types";
import { within } from "../../kit/numbers";
import { FROM } from "../histogram";
import { ALL_TONES } from "../words";

/** The highest tone that is shown, stops. */
export const TO = 1;

/** How far apart a gate's slopes stay at least, stops. */
const SLOPE = 0.1;

/** A gate as it is shown: an open end stands at the edge. */
export const shown = (gate: Gate): Gate => ({
  from: Math.max(FROM, gate.from),
  full: Math.max(FROM + SLOPE, gate.full),
  fullTo: Math.min(TO - SLOPE, gate.fullTo),
  to: Math.min(TO, gate.to),
});

/** The gate that is meant: an end that stands at the edge is open. */
const meant = (gate: Gate): Gate => ({
  ...gate,
  ...(gate.full <= FROM + SLOPE && { from: ALL_TONES.from, full: ALL_TONES.full }),
  ...(gate.fullTo >= TO - SLOPE && { fullTo: ALL_TONES.fullTo, to: ALL_TONES.to }),
});

/** A gate with one of its four numbers moved, as far as the others let it: it never collapses. */
export function moved(gate: Gate, name: keyof Gate, v: number): Gate {
  const now = shown(gate);
  const bounds = {
    from: [-Infinity, now.full - SLOPE],
    full: [now.from + SLOPE, now.fullTo],
    fullTo: [now.full, now.to - SLOPE],
    to: [now.fullTo + SLOPE, Infinity],
  } as const;
  const [least, most] = bounds[name];
  return meant({ ...now, [name]: Number(within(v, least, most).toFixed(3)) });
}
