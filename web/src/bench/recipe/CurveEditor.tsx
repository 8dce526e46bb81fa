import type { Pass, ToneCurve } from "../../api/client";
import { CurveField } from "../../kit/CurveField";
import { amount } from "../../kit/Scale";
import { changePass, put, settle, useBench } from "../store";

const FROM = -10;

/** The points of a curve pass, in stops below white. */
export function CurveEditor({ pass, move }: { pass: Pass; move: ToneCurve }) {
  const light = useBench((s) => s.histogram?.light) ?? [];
  const top = Math.max(...light.slice(1, -1), 1);
  return (
    <CurveField
      label="Curve in stops"
      points={move.points}
      height={200}
      from={FROM}
      to={0}
      step={0.1}
      apart={0.1}
      backdrop={light.map((v, i) => [FROM * (1 - i / light.length), Math.min(1, Math.sqrt(v / top))])}
      said={(p) => `${amount(p.x, 0.1, "st")} becomes ${amount(p.y, 0.1, "st")}`}
      onMove={(points) => {
        put({ moving: true });
        changePass(pass.id, { move: { ...move, points } });
      }}
      onSettle={settle}
    />
  );
}
