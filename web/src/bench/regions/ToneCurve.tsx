import type { ToneBand } from "../../api/client";
import { CurveField } from "../../kit/CurveField";
import { useBench } from "../store";

/** A free curve over the tones: which share each tone has. */
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
  return (
    <CurveField
      label="Curve over the tones"
      points={band.curve}
      height={92}
      from={0}
      to={1}
      step={0.01}
      apart={0.01}
      backdrop={light.map((v, i) => [codeOf((i / light.length) * 10 - 10), Math.min(1, Math.sqrt(v / top))])}
      said={(p) => `tone ${Math.round(p.x * 100)} %, share ${Math.round(p.y * 100)} %`}
      onMove={(curve) => onMove({ curve })}
      onSettle={onSettle}
    />
  );
}

/** The sRGB code of a tone in stops below white (IEC 61966-2-1). */
function codeOf(stops: number): number {
  const light = 2 ** stops;
  return light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;
}
