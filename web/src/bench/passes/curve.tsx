import type { Pass, Point } from "../../api/types";
import { CurveField } from "../../kit/CurveField";
import { amount } from "../../kit/numbers";
import { changePass } from "../edits/passes";
import { backdrop, FROM } from "../histogram";
import { move, settle } from "../state/gesture";
import { useViewport } from "../state/viewport";
import type { PassUi } from "./pass";

const TICKS = [-8, -6, -4, -2].map((at) => ({ at, name: amount(at, 1, "st") }));

/** The points of a curve pass, in stops below white. */
function Editor({ pass }: { pass: Pass }) {
  const light = useViewport((s) => s.histogram?.light);
  const curve = pass.move;
  if (curve.kind !== "curve") return null;
  return (
    <CurveField
      label="Curve in stops"
      points={curve.points}
      height={200}
      from={FROM}
      to={0}
      step={0.1}
      apart={0.1}
      ticks={TICKS}
      axes={["tone before", "tone after"]}
      backdrop={backdrop(light)}
      line={smooth(curve.points)}
      said={(p) => `${amount(p.x, 0.1, "st")} becomes ${amount(p.y, 0.1, "st")}`}
      onMove={(points) => {
        move(pass.id);
        changePass(pass.id, { move: { ...curve, points } });
      }}
      onSettle={settle}
    />
  );
}

/** The line that the core draws through the points: monotone cubics (Fritsch and Butland 1984). */
export function smooth(points: Point[]): Point[] {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last) return [];
  const pairs = points.slice(1).map((to, i) => ({ from: points[i] ?? first, to }));
  const step = pairs.map(({ from, to }) => (to.y - from.y) / (to.x - from.x));
  const slope = points.map((_, i) => {
    const before = step[i - 1];
    const after = step[i];
    if (before === undefined || after === undefined) return before ?? after ?? 0;
    return before * after <= 0 ? 0 : (2 * before * after) / (before + after);
  });
  const line: Point[] = [{ x: FROM, y: first.y - first.x + FROM }];
  pairs.forEach(({ from, to }, i) => {
    const h = to.x - from.x;
    for (let k = 0; k <= 12; k++) {
      const t = k / 12;
      const u = 1 - t;
      line.push({
        x: from.x + t * h,
        y:
          from.y * u * u * (1 + 2 * t) +
          to.y * t * t * (3 - 2 * t) +
          h * (slope[i] ?? 0) * t * u * u -
          h * (slope[i + 1] ?? 0) * t * t * u,
      });
    }
  });
  line.push({ x: 0, y: last.y - last.x });
  return line;
}

export const curve: PassUi = { kind: "curve", Editor };
