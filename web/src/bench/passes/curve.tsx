import type { Pass, Point, ToneCurve } from "../../api/client";
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
      line={smooth(move.points)}
      said={(p) => `${amount(p.x, 0.1, "st")} becomes ${amount(p.y, 0.1, "st")}`}
      onMove={(points) => {
        put({ moving: true });
        changePass(pass.id, { move: { ...move, points } });
      }}
      onSettle={settle}
    />
  );
}

/** The line that the core draws through the points: monotone cubics (Fritsch and Butland 1984). */
function smooth(points: Point[]): Point[] {
  const step = points.slice(1).map((p, i) => (p.y - points[i].y) / (p.x - points[i].x));
  const slope = points.map((_, i) => {
    if (i === 0) return step[0];
    if (i === points.length - 1) return step[i - 1];
    const [a, b] = [step[i - 1], step[i]];
    return a * b <= 0 ? 0 : (2 * a * b) / (a + b);
  });
  const line: Point[] = [{ x: FROM, y: points[0].y - points[0].x + FROM }];
  for (let i = 0; i < points.length - 1; i++) {
    const h = points[i + 1].x - points[i].x;
    for (let k = 0; k <= 12; k++) {
      const t = k / 12;
      const u = 1 - t;
      line.push({
        x: points[i].x + t * h,
        y:
          points[i].y * u * u * (1 + 2 * t) +
          points[i + 1].y * t * t * (3 - 2 * t) +
          h * slope[i] * t * u * u -
          h * slope[i + 1] * t * t * u,
      });
    }
  }
  const last = points[points.length - 1];
  line.push({ x: 0, y: last.y - last.x });
  return line;
}
