import { Button, Checkbox, InputBase, Radio } from "@mui/material";
import type { Probe, ProbeReading } from "../../api/types";
import { compareWith, nameSurface, unpin } from "../state/board";
import { move, settle } from "../state/gesture";
import { signed as f } from "../../kit/numbers";
import { useRest } from "../../kit/rest";
import { nudge, passOf } from "./balance";

type Nudge = ["light" | "warmer" | "tint", number];

/** Arrow keys on a row: up and down its light, left and right its b*, with Shift its a*. */
const NUDGES: Record<string, Nudge> = {
  ArrowUp: ["light", 0.05],
  ArrowDown: ["light", -0.05],
  ArrowRight: ["warmer", 2],
  ArrowLeft: ["warmer", -2],
};

const SHIFTED: Record<string, Nudge> = {
  ArrowRight: ["tint", 2],
  ArrowLeft: ["tint", -2],
};

/** Until a row of key strokes is one step; milliseconds. */
const REST = 400;

/** One probe of the board. */
export function ProbeRow({
  probe,
  number,
  of,
  base,
  reference,
  chosen,
  onChoose,
}: {
  probe: Probe;
  number: number;
  of: ProbeReading | undefined;
  /** Colour of the reference. */
  base: { l: number; a: number; b: number } | undefined;
  reference: boolean;
  chosen: boolean;
  onChoose: (on: boolean) => void;
}) {
  const rest = useRest(REST);
  const reading = of?.reading;
  const keys = (e: React.KeyboardEvent) => {
    const by = e.shiftKey ? SHIFTED[e.key] : NUDGES[e.key];
    if (!by || e.target !== e.currentTarget) return;
    e.preventDefault();
    e.stopPropagation();
    move(passOf(probe)?.id ?? "");
    nudge(probe, ...by);
    rest(settle);
  };
  const apart = (own: number, of: number | undefined) => (reference || of === undefined ? "–" : f(own - of));
  return (
    // a row that takes arrow keys, as rows of a grid do
    <tr tabIndex={0} aria-label={`Probe ${number}`} onKeyDown={keys}>
      <td>
        <Checkbox
          size="small"
          sx={{ p: 0 }}
          checked={chosen}
          onChange={(_, on) => onChoose(on)}
          slotProps={{ input: { "aria-label": `Choose probe ${number}` } }}
        />
      </td>
      <td>
        <span
          style={{
            display: "inline-block",
            width: 26,
            height: 12,
            border: "1px solid #999",
            marginRight: 6,
            verticalAlign: -2,
            background: reading ? `rgb(${reading.srgb.join(" ")})` : "none",
          }}
        />
        {number}
        {passOf(probe) ? " •" : ""}
      </td>
      <td>
        <InputBase
          value={probe.surface}
          placeholder="–"
          onChange={(e) => nameSurface(probe.id, e.target.value)}
          onKeyDown={(e) => e.stopPropagation()}
          inputProps={{ "aria-label": `Surface of probe ${number}` }}
          sx={{ width: 84, fontSize: 12, "& input": { p: 0, textAlign: "left" } }}
        />
      </td>
      <td>
        <Radio
          size="small"
          sx={{ p: 0 }}
          checked={reference}
          onChange={() => compareWith(probe.id)}
          slotProps={{ input: { "aria-label": `Probe ${number} is the reference` } }}
        />
      </td>
      {reading ? (
        <>
          <td>{reading.lab.l.toFixed(1)}</td>
          <td>{f(reading.lab.a)}</td>
          <td>{f(reading.lab.b)}</td>
          <td>{reading.spread.toFixed(1)}</td>
          <td>{apart(reading.lab.l, base?.l)}</td>
          <td>{apart(reading.lab.a, base?.a)}</td>
          <td>{apart(reading.lab.b, base?.b)}</td>
          <td data-testid={`difference-${number}`}>
            {reference ? "–" : (of?.difference?.toFixed(1) ?? "–")}
          </td>
        </>
      ) : (
        <td colSpan={8}>–</td>
      )}
      <td>
        <Button
          onClick={() => unpin(probe.id)}
          aria-label={`Take probe ${number} away`}
          sx={{ p: 0, minWidth: 20 }}
        >
          ×
        </Button>
      </td>
    </tr>
  );
}
