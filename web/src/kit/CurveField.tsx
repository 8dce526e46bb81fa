import { Box } from "@mui/material";
import type { Point } from "../api/types";
import { look } from "../theme";

const W = 256;

const ARROWS: Record<string, [number, number] | undefined> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/**
 * A curve of points on a field. Press on the field to put a point in, drag to move it, double click to take it
 * out; arrow keys move the focused one.
 */
export function CurveField({
  label,
  points,
  height,
  from,
  to,
  step,
  apart,
  backdrop,
  line,
  said,
  onMove,
  onSettle,
}: {
  label: string;
  points: Point[];
  height: number;
  /** Both axes run from here to {@link to}. */
  from: number;
  to: number;
  /** What an arrow key moves. */
  step: number;
  /** Least distance from point to point along x. */
  apart: number;
  /** Heights of the histogram behind the curve: place along x in the axis' unit, height 0 to 1. */
  backdrop: [number, number][];
  /** The curve itself where it is not straight between its points. */
  line?: Point[];
  said: (p: Point) => string;
  onMove: (points: Point[]) => void;
  onSettle: () => void;
}) {
  const span = to - from;
  const px = (x: number) => ((x - from) / span) * W;
  const py = (y: number) => (1 - (y - from) / span) * height;
  const put = (next: Point[]) => onMove([...next].sort((a, b) => a.x - b.x));
  const kept = (v: number) => Math.round(Math.max(from, Math.min(to, v)) * 1000) / 1000;
  const place = (i: number, p: Point) => {
    const before = points[i - 1];
    const after = points[i + 1];
    const low = before ? before.x + apart : from;
    const high = after ? after.x - apart : to;
    put(points.map((o, k) => (k === i ? { x: kept(Math.min(high, Math.max(low, p.x))), y: kept(p.y) } : o)));
  };
  const spot = (e: React.PointerEvent, el: Element): Point => {
    const box = el.getBoundingClientRect();
    return {
      x: kept(from + ((e.clientX - box.left) / W) * span),
      y: kept(to - ((e.clientY - box.top) / height) * span),
    };
  };
  return (
    <Box
      component="svg"
      width={W}
      height={height}
      role="group"
      aria-label={label}
      sx={{ bgcolor: look.paper, border: `1px solid ${look.line}`, my: 0.5, touchAction: "none" }}
      onPointerDown={(e: React.PointerEvent<SVGSVGElement>) => {
        const p = spot(e, e.currentTarget);
        if (points.every((o) => Math.abs(o.x - p.x) > Math.max(apart, 0.03 * span))) {
          put([...points, p]);
          onSettle();
        }
      }}
    >
      <polygon
        points={`0,${height} ${backdrop.map(([x, y]) => `${px(x).toFixed(1)},${height - y * height * 0.8}`).join(" ")} ${W},${height}`}
        fill="#d5d5d5"
      />
      <polyline
        points={(line ?? points).map((p) => `${px(p.x)},${py(p.y)}`).join(" ")}
        fill="none"
        stroke={look.amber}
        strokeWidth={1.5}
      />
      {points.map((p, i) => (
        <rect
          key={i}
          tabIndex={0}
          role="slider"
          aria-label={`Curve point ${i + 1}`}
          aria-valuenow={p.y}
          aria-valuetext={said(p)}
          x={px(p.x) - 4.5}
          y={py(p.y) - 4.5}
          width={9}
          height={9}
          fill="#fff"
          stroke="#222"
          style={{ cursor: "move" }}
          onPointerDown={(e) => {
            e.stopPropagation();
            e.currentTarget.setPointerCapture(e.pointerId);
          }}
          onPointerMove={(e) => {
            const field = e.currentTarget.ownerSVGElement;
            if (e.buttons === 1 && field) place(i, spot(e, field));
          }}
          onPointerUp={onSettle}
          onPointerCancel={onSettle}
          onDoubleClick={() => {
            if (points.length > 2) {
              put(points.filter((_, k) => k !== i));
              onSettle();
            }
          }}
          onKeyDown={(e) => {
            const by = ARROWS[e.key];
            if (!by) return;
            e.preventDefault();
            e.stopPropagation();
            place(i, { x: p.x + by[0] * step, y: p.y + by[1] * step });
            onSettle();
          }}
        />
      ))}
    </Box>
  );
}
