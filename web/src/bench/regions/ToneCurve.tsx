import { Box } from "@mui/material";
import type { Point, ToneBand } from "../../api/client";
import { look } from "../../theme";
import { useBench } from "../store";

const W = 276;
const H = 92;

/**
 * A free curve over the tones: which share each tone has. Press on the field to put a point in, drag to move
 * it, double click to take it out; arrow keys move the focused one.
 */
export function ToneCurve({
  band,
  onMove,
  onSettle,
}: {
  band: ToneBand;
  onMove: (to: Partial<ToneBand>) => void;
  onSettle: () => void;
}) {
  const light = useBench((s) => s.histogram?.light) ?? [];
  const top = Math.max(...light.slice(1, -1), 1);
  const points = band.curve;
  const put = (next: Point[]) => onMove({ curve: [...next].sort((a, b) => a.x - b.x) });
  const kept = (v: number) => Math.round(Math.max(0, Math.min(1, v)) * 1000) / 1000;
  const place = (i: number, p: Point) => {
    const low = i > 0 ? points[i - 1].x + 0.01 : 0;
    const high = i < points.length - 1 ? points[i + 1].x - 0.01 : 1;
    put(points.map((o, k) => (k === i ? { x: kept(Math.min(high, Math.max(low, p.x))), y: kept(p.y) } : o)));
  };
  const spot = (e: React.PointerEvent, el: Element): Point => {
    const box = el.getBoundingClientRect();
    return { x: kept((e.clientX - box.left) / W), y: kept(1 - (e.clientY - box.top) / H) };
  };
  return (
    <Box
      component="svg"
      width={W}
      height={H}
      role="group"
      aria-label="Curve over the tones"
      sx={{ bgcolor: look.paper, border: `1px solid ${look.line}`, my: 0.5, touchAction: "none" }}
      onPointerDown={(e: React.PointerEvent<SVGSVGElement>) => {
        const p = spot(e, e.currentTarget);
        if (points.every((o) => Math.abs(o.x - p.x) > 0.03)) {
          put([...points, p]);
          onSettle();
        }
      }}
    >
      <polygon
        points={`0,${H} ${light.map((v, i) => `${(codeOf((i / light.length) * 10 - 10) * W).toFixed(1)},${H - Math.sqrt(v / top) * H * 0.8}`).join(" ")} ${W},${H}`}
        fill="#d5d5d5"
      />
      <polyline
        points={points.map((p) => `${p.x * W},${(1 - p.y) * H}`).join(" ")}
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
          aria-valuenow={Math.round(p.y * 100)}
          aria-valuetext={`tone ${Math.round(p.x * 100)} %, share ${Math.round(p.y * 100)} %`}
          x={p.x * W - 4.5}
          y={(1 - p.y) * H - 4.5}
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
            if (e.buttons === 1) place(i, spot(e, e.currentTarget.ownerSVGElement!));
          }}
          onPointerUp={onSettle}
          onDoubleClick={() => {
            if (points.length > 2) {
              put(points.filter((_, k) => k !== i));
              onSettle();
            }
          }}
          onKeyDown={(e) => {
            const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
            if (!by) return;
            e.preventDefault();
            e.stopPropagation();
            place(i, { x: p.x + by[0] * 0.01, y: p.y + by[1] * 0.01 });
            onSettle();
          }}
        />
      ))}
    </Box>
  );
}

/** The sRGB code of a tone in stops below white (IEC 61966-2-1). */
function codeOf(stops: number): number {
  const light = 2 ** stops;
  return light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;
}
