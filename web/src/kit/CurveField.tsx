import { Box, Typography } from "@mui/material";
import { useDrag } from "@use-gesture/react";
import { useRef, useState } from "react";
import type { Point } from "../api/types";
import { look } from "../theme";
import { ARROWS } from "./arrows";

const W = 256;

/** How large a point is to the pointer, pixels: WCAG 2.2, 2.5.8. */
const HIT = 24;

/**
 * A curve of points on a field. Press on the field to put a point in, drag to move it, double click or Delete
 * takes it out; arrow keys move the focused one. What it does to a tone is said below the field.
 */
export function CurveField({
  label,
  points,
  height,
  from,
  to,
  step,
  apart,
  ticks,
  axes,
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
  /** Where the axes are marked, and how. */
  ticks: { at: number; name: string }[];
  /** What runs to the right, and what runs up. */
  axes: [string, string];
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
  const without = (i: number) => {
    if (points.length <= 2) return;
    put(points.filter((_, k) => k !== i));
    onSettle();
  };
  const [held, setHeld] = useState<number>();
  const field = useRef<SVGSVGElement>(null);
  const spot = ([x, y]: [number, number]): Point => {
    const box = field.current?.getBoundingClientRect();
    return {
      x: kept(from + ((x - (box?.left ?? 0)) / W) * span),
      y: kept(to - ((y - (box?.top ?? 0)) / height) * span),
    };
  };
  const drag = useDrag(
    ({ args: [i], xy, event, first, last, tap, memo }) => {
      event.stopPropagation();
      const p = points[i as number];
      if (tap || !p) return;
      const at = spot(xy);
      // it is held where it was taken
      const off = (first ? { x: p.x - at.x, y: p.y - at.y } : memo) as Point;
      place(i as number, { x: at.x + off.x, y: at.y + off.y });
      if (last) onSettle();
      return off;
    },
    { pointer: { capture: true, keys: false }, filterTaps: true },
  );
  // a point is put in and moved in one go
  const putIn = useDrag(
    ({ xy, event, first, last, memo }) => {
      if (first) {
        const p = spot(xy);
        const taken = (event.target as Element).closest('[role="slider"]');
        if (taken || points.some((o) => Math.abs(o.x - p.x) <= Math.max(apart, 0.03 * span))) return -1;
        put([...points, p]);
        return points.filter((o) => o.x < p.x).length;
      }
      const i = memo as number;
      if (i < 0) return i;
      place(i, spot(xy));
      if (last) onSettle();
      return i;
    },
    { pointer: { capture: true, keys: false } },
  );
  const shown = held === undefined ? undefined : points[held];
  return (
    <Box sx={{ my: 0.5, width: W }}>
      <Box
        component="svg"
        ref={field}
        width={W}
        height={height}
        role="group"
        aria-label={label}
        sx={{ display: "block", bgcolor: look.paper, border: `1px solid ${look.line}`, touchAction: "none" }}
        {...putIn()}
      >
        <polygon
          points={`0,${height} ${backdrop.map(([x, y]) => `${px(x).toFixed(1)},${height - y * height * 0.8}`).join(" ")} ${W},${height}`}
          fill="#d5d5d5"
        />
        <Axes ticks={ticks} px={px} py={py} height={height} />
        <polyline
          points={(line ?? points).map((p) => `${px(p.x)},${py(p.y)}`).join(" ")}
          fill="none"
          stroke={look.amber}
          strokeWidth={1.5}
        />
        {points.map((p, i) => (
          <g
            key={i}
            {...drag(i)}
            tabIndex={0}
            role="slider"
            aria-label={`Curve point ${i + 1}`}
            aria-valuenow={p.y}
            aria-valuetext={said(p)}
            style={{ cursor: "move", touchAction: "none" }}
            onPointerDownCapture={() => setHeld(i)}
            onPointerEnter={() => setHeld(i)}
            onPointerLeave={() => setHeld(undefined)}
            onFocus={() => setHeld(i)}
            onBlur={() => setHeld(undefined)}
            onDoubleClick={() => without(i)}
            onKeyDown={(e) => {
              const by = ARROWS[e.key];
              const gone = e.key === "Delete" || e.key === "Backspace";
              if (!by && !gone) return;
              e.preventDefault();
              e.stopPropagation();
              if (gone) {
                without(i);
                return;
              }
              const k = e.shiftKey ? 5 : 1;
              if (by) place(i, { x: p.x + by[0] * step * k, y: p.y - by[1] * step * k });
              onSettle();
            }}
          >
            <rect x={px(p.x) - HIT / 2} y={py(p.y) - HIT / 2} width={HIT} height={HIT} fill="transparent" />
            <rect x={px(p.x) - 4.5} y={py(p.y) - 4.5} width={9} height={9} fill="#fff" stroke="#222" />
          </g>
        ))}
      </Box>
      <Typography variant="caption" component="div" sx={{ height: 16 }}>
        {shown ? said(shown) : `${axes[0]} to the right, ${axes[1]} up`}
      </Typography>
    </Box>
  );
}

/** Lines at the marks, with their names along both edges, and the line that changes nothing. */
function Axes({
  ticks,
  px,
  py,
  height,
}: {
  ticks: { at: number; name: string }[];
  px: (x: number) => number;
  py: (y: number) => number;
  height: number;
}) {
  return (
    <g pointerEvents="none" fontSize={9} fill={look.soft}>
      <line x1={0} y1={height} x2={W} y2={0} stroke={look.line} strokeDasharray="2 3" />
      {ticks.map(({ at, name }) => (
        <g key={at}>
          <line x1={px(at)} x2={px(at)} y1={0} y2={height} stroke={look.line} />
          <line x1={0} x2={W} y1={py(at)} y2={py(at)} stroke={look.line} />
          <text x={px(at) + 2} y={height - 2}>
            {name}
          </text>
          <text x={2} y={py(at) - 2}>
            {name}
          </text>
        </g>
      ))}
    </g>
  );
}
