import { dragHand, longEdge, type Hand, type Spot } from "./hand";
import { simplified, writePath } from "./path";

const far = (a: Spot, b: Spot) => Math.hypot(a.sx - b.sx, a.sy - b.sy) > 4;

/** Loop: drawn freehand in one drag. */
export function loopHand(): Hand {
  return dragHand((from, to, all) =>
    all.length > 3 && all.some((p) => p !== from.point)
      ? { kind: "loop", path: writePath(simplified([...all, to.point], 0.7 / longEdge())) }
      : undefined,
  );
}

/** Ramp: from where it is full to where it ends; Shift keeps it level or upright. */
export function rampHand(): Hand {
  return dragHand((from, to) => {
    if (!far(from, to)) return undefined;
    const wide = Math.abs(to.point.x - from.point.x) > Math.abs(to.point.y - from.point.y);
    const end = !to.shift
      ? to.point
      : wide
        ? { x: to.point.x, y: from.point.y }
        : { x: from.point.x, y: to.point.y };
    return { kind: "ramp", from: from.point, to: end };
  });
}

/** Ellipse: from its centre outwards; Shift makes a circle. */
export function ellipseHand(): Hand {
  return dragHand((from, to) => {
    if (!far(from, to)) return undefined;
    const wide = Math.max(0.002, Math.abs(to.point.x - from.point.x));
    const high = Math.max(0.002, Math.abs(to.point.y - from.point.y));
    const round = Math.max(wide, high);
    return {
      kind: "ellipse",
      centre: from.point,
      wide: to.shift ? round : wide,
      high: to.shift ? round : high,
      turn: 0,
      softness: 0.5,
    };
  });
}

/** Panel: corner to corner; its corners move on their own afterwards. */
export function panelHand(): Hand {
  return dragHand((from, to) => {
    if (!far(from, to)) return undefined;
    const a = from.point;
    const b = to.point;
    return { kind: "panel", corners: [a, { x: b.x, y: a.y }, b, { x: a.x, y: b.y }], softness: 40 };
  });
}
