import { Box, Button, MenuItem, MenuList, Typography } from "@mui/material";
import type { Control, Gate, Pass } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { changePass, moveControl, put, settle, useBench } from "../store";
import { ALL_TONES, frameName, isAll, kelvin, numbers } from "../words";

/** Chooses a frame. */
export function FrameChooser({
  value,
  among,
  onPick,
}: {
  value: string;
  /** Ids of the frames on offer; all where it is left out. */
  among?: string[];
  onPick: (id: string) => void;
}) {
  const frames = useBench((s) => s.sheet!.frames);
  return (
    <MenuList autoFocus aria-label="Frames">
      {frames
        .filter((f) => !among || among.includes(f.id))
        .map((f) => (
          <MenuItem key={f.id} selected={f.id === value} onClick={() => onPick(f.id)}>
            <Box component="img" src={`/api/frames/${f.id}/thumb`} alt="" sx={{ width: 54, mr: 1.25 }} />
            {frameName(f, frames)}
          </MenuItem>
        ))}
    </MenuList>
  );
}

/** Chooses where something works: everywhere, inside or outside a region. */
export function RegionChooser({
  where,
  onPick,
}: {
  where: Pass["where"];
  onPick: (where: Pass["where"]) => void;
}) {
  const regions = useBench((s) => s.recipe!.regions);
  const pick = (region: string, outside: boolean) => onPick({ region, outside });
  return (
    <MenuList autoFocus aria-label="Regions">
      <MenuItem selected={!where.region} onClick={() => pick("", false)}>
        the whole picture
      </MenuItem>
      {regions.map((r) => [
        <MenuItem
          key={r.id}
          selected={where.region === r.id && !where.outside}
          onClick={() => pick(r.id, false)}
        >
          {r.name}
        </MenuItem>,
        <MenuItem
          key={`${r.id} out`}
          selected={where.region === r.id && where.outside}
          onClick={() => pick(r.id, true)}
        >
          outside {r.name}
        </MenuItem>,
      ])}
    </MenuList>
  );
}

const GATE: { name: keyof Gate; label: string; careful: number }[] = [
  { name: "from", label: "Closed below", careful: -10 },
  { name: "full", label: "Open from", careful: -8 },
  { name: "fullTo", label: "Open to", careful: 0 },
  { name: "to", label: "Closed above", careful: 1 },
];

/** Four numbers of a gate with its trapezoid over the tones. */
export function GateEditor({ pass }: { pass: Pass }) {
  const gate = isAll(pass.gate) ? { from: -10, full: -10, fullTo: 1, to: 1 } : pass.gate;
  const light = useBench((s) => s.histogram?.light) ?? [];
  const top = Math.max(...light.slice(1, -1), 1);
  const x = (s: number) => ((s + 10) / 11) * 260;
  const move = (name: keyof Gate, v: number) => {
    const order: (keyof Gate)[] = ["from", "full", "fullTo", "to"];
    const next = { ...gate, [name]: v };
    const at = order.indexOf(name);
    order.forEach((k, i) => {
      if (i < at) next[k] = Math.min(next[k], v);
      if (i > at) next[k] = Math.max(next[k], v);
    });
    put({ moving: true });
    changePass(pass.id, { gate: next });
  };
  const drag = (name: keyof Gate) => (e: React.PointerEvent<SVGElement>) => {
    const el = e.currentTarget;
    const left = el.ownerSVGElement!.getBoundingClientRect().left;
    el.setPointerCapture(e.pointerId);
    const moved = (m: PointerEvent) => {
      const stops = ((m.clientX - left) / 260) * 11 - 10;
      move(name, Math.round(Math.min(1, Math.max(-10, stops)) * 10) / 10);
    };
    const up = () => {
      el.removeEventListener("pointermove", moved);
      el.removeEventListener("pointerup", up);
      settle();
    };
    el.addEventListener("pointermove", moved);
    el.addEventListener("pointerup", up);
  };
  return (
    <Box sx={{ p: 1.5, width: 292 }}>
      <svg
        width={260}
        height={60}
        role="img"
        aria-label="Gate over the histogram"
        style={{ overflow: "visible", touchAction: "none" }}
      >
        <polygon
          points={`0,60 ${light.map((v, i) => `${(i / light.length) * x(0)},${60 - Math.sqrt(v / top) * 50}`).join(" ")} ${x(0)},60`}
          fill="#c4c4c4"
        />
        <polygon
          points={`${x(gate.from)},60 ${x(gate.full)},4 ${x(gate.fullTo)},4 ${x(gate.to)},60`}
          fill="rgba(240,164,58,.35)"
          stroke="#8f4f00"
        />
        {GATE.map((g) => (
          <circle
            key={g.name}
            data-testid={`gate-${g.name}`}
            cx={x(gate[g.name])}
            cy={g.name === "from" || g.name === "to" ? 60 : 4}
            r={5}
            fill="#fff"
            stroke="#222"
            style={{ cursor: "ew-resize" }}
            onPointerDown={drag(g.name)}
          >
            <title>{g.label}</title>
          </circle>
        ))}
      </svg>
      {GATE.map((g) => (
        <Scale
          key={g.name}
          label={g.label}
          unit="st"
          from={-10}
          to={1}
          step={0.1}
          careful={g.careful}
          value={gate[g.name]}
          onMove={(v) => move(g.name, v)}
          onSettle={settle}
        />
      ))}
      <Button
        sx={{ mt: 1 }}
        onClick={() => {
          changePass(pass.id, { gate: ALL_TONES });
          settle();
        }}
      >
        All tones
      </Button>
    </Box>
  );
}

/** One control of a pass, drawn from the catalogue. */
export function NumberEditor({ pass, control }: { pass: Pass; control: Control }) {
  const value = numbers(pass.move)[control.name];
  return (
    <>
      <Scale
        label={control.label}
        unit={control.unit}
        from={control.from}
        to={control.to}
        step={control.step}
        careful={control.careful}
        help={control.help}
        value={value}
        onMove={(v) => moveControl(pass.id, control.name, v)}
        onSettle={settle}
      />
      {control.unit === "mired" && value !== 0 && (
        <Typography variant="caption" component="div" sx={{ textAlign: "right", mt: -0.5 }}>
          light of {kelvin(value)} K comes out neutral
        </Typography>
      )}
    </>
  );
}

export function StrengthEditor({ pass }: { pass: Pass }) {
  return (
    <Scale
      label="Strength"
      unit="%"
      from={0}
      to={1}
      step={0.01}
      careful={1}
      value={pass.strength}
      onMove={(strength) => {
        put({ moving: true });
        changePass(pass.id, { strength });
      }}
      onSettle={settle}
    />
  );
}
