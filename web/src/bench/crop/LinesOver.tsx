import { useHand } from "../state/hand";
import { usePlace } from "../stage/place";
import { useLines } from "./lines";

/** The lines by which the picture is straightened. */
export function LinesOver() {
  const on = useHand((s) => s.tool === "line");
  const { lines, drawn } = useLines();
  const { at } = usePlace();
  if (!on) return null;
  return (
    <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
      {[...lines, ...(drawn ? [drawn] : [])].map((l, i) => {
        const a = at(l.from);
        const b = at(l.to);
        const ends = { x1: a.x, y1: a.y, x2: b.x, y2: b.y };
        return (
          <g key={i} data-testid="straight-line">
            <line {...ends} stroke="#fff" strokeWidth={3} opacity={0.85} />
            <line {...ends} stroke="#222" strokeDasharray="8 3" />
          </g>
        );
      })}
    </svg>
  );
}
