import type { Outline, Point } from "../../api/client";
import { changeRegion, geometry, put, settle, unpin, useBench } from "../store";

/** What can be taken hold of: points of the selected outline, the outline being drawn, probes. */
export function Handles() {
  const s = useBench();
  const g = geometry(s);
  const long = Math.max(g.w, g.h);
  const at = (p: Point) => ({ x: g.ox + p.x * long * g.scale, y: g.oy + p.y * long * g.scale });
  const region = s.recipe?.regions.find((r) => r.id === s.region);
  const outlines =
    s.tool === "look" && !s.moving ? (region?.parts.filter((p) => p.shape.kind === "outline") ?? []) : [];
  const drag = (part: string, index: number) => (e: React.PointerEvent) => {
    e.stopPropagation();
    const el = e.currentTarget as SVGElement;
    el.setPointerCapture(e.pointerId);
    const stage = el.ownerSVGElement!.getBoundingClientRect();
    const move = (m: PointerEvent) => {
      const now = useBench.getState().recipe!.regions.find((r) => r.id === s.region)!;
      const k = geometry();
      const p = {
        x: (m.clientX - stage.left - k.ox) / k.scale / long,
        y: (m.clientY - stage.top - k.oy) / k.scale / long,
      };
      changeRegion(
        s.region,
        {
          parts: now.parts.map((q) =>
            q.id === part
              ? {
                  ...q,
                  shape: {
                    ...(q.shape as Outline),
                    points: (q.shape as Outline).points.map((o, i) => (i === index ? p : o)),
                  },
                }
              : q,
          ),
        },
        true,
      );
    };
    const up = () => {
      el.removeEventListener("pointermove", move);
      el.removeEventListener("pointerup", up);
      changeRegion(s.region, {});
      settle();
    };
    el.addEventListener("pointermove", move);
    el.addEventListener("pointerup", up);
  };
  const line = (points: Point[]) => points.map((p) => `${at(p).x},${at(p).y}`).join(" ");
  return (
    <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
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
              fill={i === 0 ? "#f0a43a" : "#fff"}
              stroke="#222"
            />
          ))}
        </>
      )}
      {outlines.map((part) =>
        (part.shape as Outline).points.map((p, i) => (
          <rect
            key={`${part.id} ${i}`}
            data-testid="outline-point"
            x={at(p).x - 4.5}
            y={at(p).y - 4.5}
            width={9}
            height={9}
            fill="#fff"
            stroke="#222"
            style={{ pointerEvents: "all", cursor: "move" }}
            onPointerDown={drag(part.id, i)}
          />
        )),
      )}
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

/** Leaves whatever is being drawn. */
export function leave() {
  put({ draft: [], tool: "look" });
}
