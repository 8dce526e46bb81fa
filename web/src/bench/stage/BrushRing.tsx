import { useHand } from "../state/hand";
import { geometry } from "../state/viewport";
import { usePointer, type Place } from "./useHandOnStage";

/** The brush under the pointer, else under the arrow keys' cross: its size and where its softness begins. */
export function BrushRing({ cross }: { cross: Place | undefined }) {
  const brush = useHand((s) => s.brush);
  const at = usePointer((s) => s.at) ?? cross;
  if (!at) return null;
  const r = (brush.size * geometry().scale) / 2;
  const place = { cx: at.x, cy: at.y, fill: "none" };
  return (
    <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
      <circle {...place} r={r} stroke="#fff" strokeWidth={2.5} />
      <circle {...place} r={r} stroke="#222" />
      <circle {...place} r={r * (1 - brush.softness)} stroke="#222" strokeDasharray="2 3" />
    </svg>
  );
}
