import type { Part, Point, Shape } from "../../api/client";
import { look } from "../../theme";
import { useShallow } from "zustand/react/shallow";
import { changePart, geometry, put, settle, unpin, useBench, type BenchState } from "../store";
import { grips, lines, sides, withoutPoint, withPoint } from "./grips";

/** Follows a pointer from a press until it is let go; one step at the end. */
function follow(e: React.PointerEvent, part: string, move: (shape: Shape, p: Point) => Shape) {
  e.stopPropagation();
  const el = e.currentTarget as SVGElement;
  el.setPointerCapture(e.pointerId);
  const stage = el.ownerSVGElement!.getBoundingClientRect();
  const moved = (m: PointerEvent) => {
    const g = geometry();
    const long = Math.max(g.w, g.h);
    const p = {
      x: (m.clientX - stage.left - g.ox) / g.scale / long,
      y: (m.clientY - stage.top - g.oy) / g.scale / long,
    };
    changePart(part, (q) => ({ ...q, shape: move(q.shape, p) }), true);
  };
  const up = () => {
    el.removeEventListener("pointermove", moved);
    el.removeEventListener("pointerup", up);
    changePart(part, (q) => q);
    settle();
  };
  el.addEventListener("pointermove", moved);
  el.addEventListener("pointerup", up);
}

/** All that the handles depend on. */
const held = (s: BenchState) => ({
  sheet: s.sheet,
  stage: s.stage,
  zoom: s.zoom,
  regions: s.recipe?.regions,
  region: s.region,
  part: s.part,
  moving: s.moving,
  before: s.before,
  alone: s.alone,
  draft: s.draft,
  tool: s.tool,
  probes: s.probes,
});

/** What can be taken hold of: grips of the drawn parts, the outline being drawn, probes. */
export function Handles() {
  const s = useBench(useShallow(held));
  const g = geometry();
  const long = Math.max(g.w, g.h);
  const at = (p: Point) => ({ x: g.ox + p.x * long * g.scale, y: g.oy + p.y * long * g.scale });
  const region = s.regions?.find((r) => r.id === s.region);
  const chosen = region?.parts.filter((p) => !s.part || p.id === s.part) ?? [];
  const drawn = s.moving || s.before || s.alone ? [] : chosen;
  const line = (points: Point[]) => points.map((p) => `${at(p).x},${at(p).y}`).join(" ");
  return (
    <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
      {drawn.flatMap((part) =>
        lines(part.shape).map((l, i) => (
          <g key={`${part.id} ${i}`}>
            <polyline points={line(l)} fill="none" stroke="#fff" strokeWidth={3} opacity={0.8} />
            <polyline points={line(l)} fill="none" stroke="#222" />
          </g>
        )),
      )}
      {s.draft.length > 0 && (
        <>
          <polyline points={line(s.draft)} fill="none" stroke="#fff" strokeWidth={3} />
          <polyline points={line(s.draft)} fill="none" stroke="#222" />
          {s.draft.map((p, i) => (
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
      )}
      {s.tool === "look" && drawn.map((part) => <Grips key={part.id} part={part} at={at} />)}
      {s.probes.map((p, i) => {
        const x = g.ox + (p.x + 0.5) * g.scale;
        const y = g.oy + (p.y + 0.5) * g.scale;
        return (
          <g
            key={p.id}
            style={{ pointerEvents: "all", cursor: "pointer" }}
            onPointerDown={(e) => e.stopPropagation()}
            onDoubleClick={() => unpin(p.id)}
          >
            <title>Probe {i + 1}; double click takes it away</title>
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
      })}
    </svg>
  );
}

/** The grips of one part; an outline's sides take new points, a double click takes one out. */
function Grips({ part, at }: { part: Part; at: (p: Point) => { x: number; y: number } }) {
  const change = (shape: Shape) => {
    changePart(part.id, (q) => ({ ...q, shape }));
    settle();
  };
  return (
    <>
      {sides(part.shape).map((p, i) => (
        <circle
          key={`side ${i}`}
          cx={at(p).x}
          cy={at(p).y}
          r={3}
          fill="#fff"
          stroke="#222"
          style={{ pointerEvents: "all", cursor: "copy" }}
          onPointerDown={(e) => {
            e.stopPropagation();
            change(withPoint(part.shape, i));
          }}
        >
          <title>Put a point in here</title>
        </circle>
      ))}
      {grips(part.shape).map((grip, i) => (
        <rect
          key={i}
          data-testid={part.shape.kind === "outline" ? "outline-point" : "grip"}
          x={at(grip.at).x - 4.5}
          y={at(grip.at).y - 4.5}
          width={9}
          height={9}
          fill={grip.name === "Move" ? look.amberFill : "#fff"}
          stroke="#222"
          style={{ pointerEvents: "all", cursor: "move" }}
          onPointerDown={(e) => follow(e, part.id, (shape, p) => grips(shape)[i]?.to(p) ?? shape)}
          onDoubleClick={() => part.shape.kind === "outline" && change(withoutPoint(part.shape, i))}
        >
          <title>{grip.name}</title>
        </rect>
      ))}
    </>
  );
}

/** Leaves whatever is being drawn. */
export function leave() {
  put({ draft: [], tool: "look" });
}
