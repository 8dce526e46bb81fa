import type { Part, Point } from "../../api/types";
import { look } from "../../theme";
import { changePass } from "../edits/passes";
import { changePart } from "../edits/regions";
import { partUi } from "../parts";
import { passUi } from "../passes";
import { unpin, useBoard } from "../state/board";
import { bare, useGesture } from "../state/gesture";
import { useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { useViewport } from "../state/viewport";
import { kindOf } from "../state/view";
import { Grips } from "./Grips";
import { Held } from "./Held";
import { usePlace } from "./place";

const FILL = {
  position: "absolute",
  inset: 0,
  width: "100%",
  height: "100%",
  pointerEvents: "none",
} as const;

type At = (p: Point) => { x: number; y: number };

/** What can be taken hold of: grips of the drawn parts and of the open pass, the outline being drawn, probes. */
export function Handles() {
  const { at } = usePlace();
  const hidden = useGesture(bare);
  const alone = useViewport((s) => s.alone);
  const chosen = useHand((s) => s.part);
  const region = useHand((s) => s.region);
  const tool = useHand((s) => s.tool);
  const parts = useHistory((s) => s.recipe?.regions.find((r) => r.id === region)?.parts) ?? [];
  const shown = hidden || alone ? [] : parts.filter((p) => !chosen || p.id === chosen);
  return (
    <svg style={FILL}>
      {shown.map((part) => (
        <Lines key={part.id} part={part} at={at} />
      ))}
      <Draft at={at} />
      <Held>
        {tool === "look" && shown.map((part) => <PartGrips key={part.id} part={part} />)}
        {tool === "look" && !hidden && !alone && <PassGrips />}
        <Probes />
      </Held>
    </svg>
  );
}

const line = (points: Point[], at: At) => points.map((p) => `${at(p).x},${at(p).y}`).join(" ");

/** Where a part runs. */
function Lines({ part, at }: { part: Part; at: At }) {
  const lines = partUi(part.shape.kind).lines?.(part.shape) ?? [];
  return lines.map((l, i) => (
    <g key={i}>
      <polyline points={line(l, at)} fill="none" stroke="#fff" strokeWidth={3} opacity={0.8} />
      <polyline points={line(l, at)} fill="none" stroke="#222" />
    </g>
  ));
}

/** The outline that is not closed yet. */
function Draft({ at }: { at: At }) {
  const draft = useHand((s) => s.draft);
  return (
    <>
      <polyline points={line(draft, at)} fill="none" stroke="#fff" strokeWidth={3} />
      <polyline points={line(draft, at)} fill="none" stroke="#222" />
      {draft.map((p, i) => (
        <rect
          key={i}
          x={at(p).x - 4}
          y={at(p).y - 4}
          width={8}
          height={8}
          fill={i === 0 ? look.amberFill : "#fff"}
          stroke="#222"
        />
      ))}
    </>
  );
}

/** What can be taken hold of on a part. */
function PartGrips({ part }: { part: Part }) {
  const ui = partUi(part.shape.kind);
  const region = useHand((s) => s.region);
  return (
    <Grips
      of={ui.name.toLowerCase()}
      worked={region}
      grips={ui.grips?.(part.shape) ?? []}
      sides={ui.sides?.(part.shape)}
      put={(shape) => changePart(part.id, (p) => (p.shape = shape))}
      testid={part.shape.kind === "outline" ? "outline-point" : "grip"}
    />
  );
}

/** What can be taken hold of on the pass that is open. */
function PassGrips() {
  const chosen = useHand((s) => s.pass);
  const sheet = useHand((s) => s.sheet);
  const pass = useHistory((s) => s.recipe?.passes.find((p) => p.id === chosen));
  const grips = pass && !sheet && passUi(pass.move.kind)?.grips;
  if (!grips) return null;
  return (
    <Grips
      of={kindOf(pass)?.name.toLowerCase() ?? ""}
      worked={pass.id}
      grips={grips(pass)}
      put={(to) => changePass(pass.id, { move: { ...pass.move, ...to } })}
    />
  );
}

function Probes() {
  const probes = useBoard((s) => s.probes);
  const { at, long } = usePlace();
  return probes.map((p, i) => {
    const { x, y } = at({ x: (p.x + 0.5) / long, y: (p.y + 0.5) / long });
    return (
      <g
        key={p.id}
        style={{ pointerEvents: "all", cursor: "pointer" }}
        tabIndex={0}
        role="button"
        aria-label={`Probe ${i + 1}`}
        onDoubleClick={() => unpin(p.id)}
        onKeyDown={(e) => {
          if (e.key === "Delete" || e.key === "Backspace") unpin(p.id);
        }}
      >
        <title>Probe {i + 1}; double click or Delete takes it away</title>
        <circle cx={x} cy={y} r={7} fill="transparent" stroke="#fff" strokeWidth={3} />
        <circle cx={x} cy={y} r={7} fill="none" stroke="#222" />
        <text
          x={x + 11}
          y={y + 4}
          fontSize={12}
          stroke="#fff"
          strokeWidth={3}
          paintOrder="stroke"
          fill="#222"
        >
          {i + 1}
        </text>
      </g>
    );
  });
}
