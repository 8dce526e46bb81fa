import { Button, Typography } from "@mui/material";
import type { Finding, Pass } from "../../api/types";
import { focusSoon } from "../../kit/focus";
import { look } from "../../theme";
import { bare, useGesture } from "../state/gesture";
import { take } from "../state/hand";
import { useHelpers } from "../state/helpers";
import { recipe as now } from "../state/history";
import { openStage, WHOLE } from "../state/rail";
import { kindOf } from "../state/view";
import { useViewport } from "../state/viewport";
import { ListOver } from "../stage/ListOver";
import { usePlace } from "../stage/place";
import { slopeOfDarks } from "../words";
import { useFindings } from "./findings";

const NAME = { HALO: "Halo", MUD: "Mud", OVERSPRAY: "Overspray", RIDGE: "New line" } as const;

/** A fault's size in words. */
function size(f: Finding): string {
  if (f.kind === "HALO") return `${f.amount.toFixed(2)} st beside an edge`;
  if (f.kind === "MUD") return slopeOfDarks(1 - f.amount);
  if (f.kind === "RIDGE") return `L* ${f.amount.toFixed(1)} along a line that no frame has`;
  return `ΔE ${f.amount.toFixed(1)} beyond an edge`;
}

/** Goes to the control that mends a fault. */
function mend(f: Finding) {
  const pass = now()?.passes.find((p) => p.id === f.pass);
  if (!pass) {
    openStage("Ground");
    focusSoon('[aria-label^="Calm: "]');
    return;
  }
  openStage(kindOf(pass)?.stage ?? WHOLE);
  const edge = f.mends === "region edge";
  take({ pass: pass.id, region: pass.where.region, part: "", sheet: edge });
  focusSoon(`[role="slider"][aria-label="${edge ? "Follow edges" : controlLabel(pass, f.mends)}"]`);
}

function controlLabel(pass: Pass, name: string): string {
  return kindOf(pass)?.controls.find((c) => c.name === name)?.label ?? "Strength";
}

/** What mends it, in words. */
function cure(f: Finding): string {
  const recipe = now();
  const pass = recipe?.passes.find((p) => p.id === f.pass);
  if (!pass) return `the ground: ${f.mends}`;
  const kind = kindOf(pass);
  const region = recipe?.regions.find((r) => r.id === pass.where.region);
  if (f.mends === "region edge") return `edge of ${region?.name ?? "the region"}`;
  return `${kind?.name.toLowerCase()}: ${controlLabel(pass, f.mends).toLowerCase()}`;
}

/** The faults as a list over the stage, each leading to what mends it. */
export function WatchList() {
  const on = useHelpers((s) => s.watching);
  return on ? <List /> : null;
}

function List() {
  const found = useFindings();
  const all = found.data;
  return (
    <ListOver name="Watch">
      {found.error && <Typography color={look.alarm}>{found.error.message}</Typography>}
      {!all && !found.error && <Typography color="text.secondary">Looking the picture over…</Typography>}
      {all?.length === 0 && <Typography>No halo, no mud, no overspray, no new line.</Typography>}
      {all?.map((f, i) => (
        <Button
          key={`${f.kind} ${f.at.x} ${f.at.y}`}
          onClick={() => mend(f)}
          sx={{ display: "block", width: "100%", textAlign: "left", px: 0.5, py: 0.25, lineHeight: 1.3 }}
        >
          <b>
            {i + 1} {NAME[f.kind]}
          </b>
          , {size(f)}
          <Typography variant="caption" component="div">
            Fix with: {cure(f)}
          </Typography>
        </Button>
      ))}
    </ListOver>
  );
}

/** Rings on the picture where the faults stand. */
export function WatchMarks() {
  const on = useHelpers((s) => s.watching);
  const hidden = useGesture(bare);
  const alone = useViewport((s) => s.alone);
  return on && !hidden && !alone ? <Marks /> : null;
}

function Marks() {
  const found = useFindings();
  const { at, long, scale } = usePlace();
  return (
    <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
      {(found.data ?? []).map((f, i) => {
        const { x, y } = at(f.at);
        const r = Math.max(9, f.radius * long * scale);
        return (
          <g key={i} data-testid="watch-mark">
            <circle cx={x} cy={y} r={r} fill="none" stroke="#fff" strokeWidth={3} opacity={0.85} />
            <circle cx={x} cy={y} r={r} fill="none" stroke={look.alarm} strokeDasharray={DASH[f.kind]} />
            <text
              x={x}
              y={y + 4}
              textAnchor="middle"
              fontSize={12}
              fontWeight={600}
              stroke="#fff"
              strokeWidth={3}
              paintOrder="stroke"
              fill={look.alarm}
            >
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

const DASH = { HALO: "none", MUD: "1 3", OVERSPRAY: "6 3", RIDGE: "10 2 2 2" } as const;
