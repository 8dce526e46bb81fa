import { Box, Button } from "@mui/material";
import { useDrag } from "@use-gesture/react";
import type { Gate, Pass } from "../../api/types";
import { Scale } from "../../kit/Scale";
import { within } from "../../kit/numbers";
import { look } from "../../theme";
import { changePass, setPass } from "../edits/passes";
import { backdrop, FROM } from "../histogram";
import { move, settle } from "../state/gesture";
import { useViewport } from "../state/viewport";
import { ALL_TONES } from "../words";
import { moved, shown, TO } from "./gate";

const WIDE = 260;
const HIGH = 60;

const SIDES: { name: keyof Gate; label: string; defaultValue: number }[] = [
  { name: "from", label: "Closed below", defaultValue: -10 },
  { name: "full", label: "Open from", defaultValue: -8 },
  { name: "fullTo", label: "Open to", defaultValue: 0 },
  { name: "to", label: "Closed above", defaultValue: 1 },
];

const x = (stops: number) => ((stops - FROM) / (TO - FROM)) * WIDE;

/** Four numbers of a gate with its trapezoid over the tones. */
export function GateEditor({ pass }: { pass: Pass }) {
  const gate = shown(pass.gate);
  const light = useViewport((s) => s.histogram?.light);
  const put = (name: keyof Gate, v: number) => {
    move(pass.id);
    changePass(pass.id, { gate: moved(pass.gate, name, v) });
  };
  const drag = useDrag(
    ({ args: [name], xy: [left], currentTarget, last }) => {
      const box = (currentTarget as SVGElement).ownerSVGElement?.getBoundingClientRect();
      const stops = ((left - (box?.left ?? 0)) / WIDE) * (TO - FROM) + FROM;
      put(name as keyof Gate, Math.round(within(stops, FROM, TO) * 10) / 10);
      if (last) settle();
    },
    { pointer: { capture: true, keys: false } },
  );
  const hill = backdrop(light, x).map(([px, h]) => `${px},${HIGH - h * 50}`);
  return (
    <Box sx={{ p: 1.5, width: 292 }}>
      <svg
        width={WIDE}
        height={HIGH}
        role="img"
        aria-label="Gate over the histogram"
        style={{ overflow: "visible", touchAction: "none" }}
      >
        <polygon points={`0,${HIGH} ${hill.join(" ")} ${x(0)},${HIGH}`} fill="#c4c4c4" />
        <polygon
          points={`${x(gate.from)},${HIGH} ${x(gate.full)},4 ${x(gate.fullTo)},4 ${x(gate.to)},${HIGH}`}
          fill="rgba(240,164,58,.35)"
          stroke={look.amber}
        />
        {SIDES.map((s) => (
          <circle
            key={s.name}
            {...drag(s.name)}
            data-testid={`gate-${s.name}`}
            cx={x(gate[s.name])}
            cy={s.name === "from" || s.name === "to" ? HIGH : 4}
            r={5}
            fill="#fff"
            stroke="#222"
            style={{ cursor: "ew-resize", touchAction: "none" }}
          >
            <title>{s.label}</title>
          </circle>
        ))}
      </svg>
      {SIDES.map((s) => (
        <Scale
          key={s.name}
          {...s}
          unit="st"
          from={FROM}
          to={TO}
          step={0.1}
          value={gate[s.name]}
          onMove={(v) => put(s.name, v)}
          onSettle={settle}
        />
      ))}
      <Button sx={{ mt: 1 }} onClick={() => setPass(pass.id, { gate: ALL_TONES })}>
        All tones
      </Button>
    </Box>
  );
}
