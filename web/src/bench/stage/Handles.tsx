import { useDrag } from "@use-gesture/react";
import type { Part, Point, Shape } from "../../api/types";
import { ARROWS } from "../../kit/arrows";
import { look } from "../../theme";
import { changePart } from "../edits/regions";
import { partUi } from "../parts";
import { minus, plus } from "../parts/part";
import { unpin, useBoard } from "../state/board";
import { bare, settle, useGesture, work } from "../state/gesture";
import { useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { useViewport } from "../state/viewport";
import { Held, HIT, Square, stepOf } from "./Held";
import { usePlace } from "./place";

const FILL = {
  position: "absolute",
  inset: 0,
  width: "100%",
  height: "100%",
  pointerEvents: "none",
} as const;

type At = (p: Point) => { x: number; y: number };

/** What can be taken hold of: grips of the drawn parts, the outline being drawn, probes. */
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
        {tool === "look" && shown.map((part) => <Grips key={part.id} part={part} at={at} />)}
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

/** The grips of one part; its sides take new points, a double click takes a point out. */
function Grips({ part, at }: { part: Part; at: At }) {
  const ui = partUi(part.shape.kind);
  const { scale, long, under: placeUnder } = usePlace();
  const put = (shape: Shape) => changePart(part.id, (p) => (p.shape = shape));
  const set = (shape: Shape) => {
    put(shape);
    settle();
  };
  const under = ([x, y]: [number, number], target: EventTarget | null): Point | undefined => {
    const box = (target as SVGElement).ownerSVGElement?.getBoundingClientRect();
    return box && placeUnder(x - box.left, y - box.top);
  };
  const pull = (i: number, p: Point) => {
    const grip = ui.grips?.(part.shape)[i];
    if (grip) put(grip.to(p));
  };
  const nudge = (i: number, from: Point, [x, y]: [number, number], pixels: number) => {
    const k = pixels / scale / long;
    work(useHand.getState().region);
    pull(i, plus(from, { x: x * k, y: y * k }));
    settle();
  };
  // a system that takes the pointer away ends the drag as it stands
  const drag = useDrag(
    ({ args: [i], xy, initial, currentTarget, event, first, last, tap, memo }) => {
      event.stopPropagation();
      const p = under(xy, currentTarget);
      const taken = under(initial, currentTarget);
      const grip = ui.grips?.(part.shape)[i as number];
      if (!p || !taken || !grip || tap) return;
      if (first) work(useHand.getState().region);
      // it is held where it was taken
      const held = (first ? minus(grip.at, taken) : memo) as Point;
      pull(i as number, plus(p, held));
      if (last) settle();
      return held;
    },
    { pointer: { capture: true, keys: false }, filterTaps: true },
  );
  // a point is put in and moved in one go
  const putIn = useDrag(
    ({ args: [i], xy, currentTarget, event, first, last, tap }) => {
      event.stopPropagation();
      const side = ui.sides?.(part.shape)[i as number];
      const p = under(xy, currentTarget);
      if (!p) return;
      if (tap && side) set(side.with());
      if (tap) return;
      if (first) {
        work(useHand.getState().region);
        if (side) put(side.with());
      } else pull((i as number) + 1, p);
      if (last) settle();
    },
    { pointer: { capture: true, keys: false }, filterTaps: true },
  );
  return (
    <>
      {ui.sides?.(part.shape).map((side, i) => (
        <g
          key={`side ${i}`}
          {...putIn(i)}
          style={{ pointerEvents: "all", cursor: "copy", touchAction: "none" }}
          tabIndex={0}
          role="button"
          aria-label="Put a point in here"
          onKeyDown={(e) => {
            if (e.key !== "Enter" && e.key !== " ") return;
            e.preventDefault();
            e.stopPropagation();
            set(side.with());
          }}
        >
          <title>Put a point in here, and drag it</title>
          <circle cx={at(side.at).x} cy={at(side.at).y} r={HIT / 2} fill="transparent" />
          <circle cx={at(side.at).x} cy={at(side.at).y} r={3} fill="#fff" stroke="#222" />
        </g>
      ))}
      {ui.grips?.(part.shape).map((grip, i) => (
        <g
          key={i}
          {...drag(i)}
          data-testid={part.shape.kind === "outline" ? "outline-point" : "grip"}
          style={{ pointerEvents: "all", cursor: "move", touchAction: "none" }}
          tabIndex={0}
          role="button"
          aria-label={`${grip.name}, ${partUi(part.shape.kind).name.toLowerCase()}`}
          onDoubleClick={() => grip.without && set(grip.without())}
          onKeyDown={(e) => {
            const by = ARROWS[e.key];
            const gone = e.key === "Delete" || e.key === "Backspace" ? grip.without : undefined;
            if (!by && !gone) return;
            e.preventDefault();
            e.stopPropagation();
            if (gone) set(gone());
            if (by) nudge(i, grip.at, by, stepOf(e));
          }}
        >
          <title>{grip.name}</title>
          <Square {...at(grip.at)} fill={grip.name === "Move" ? look.amberFill : "#fff"} />
        </g>
      ))}
    </>
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
