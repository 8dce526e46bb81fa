import type { Part, Point, Shape } from "../../api/types";
import { changePart, startPart } from "../edits/regions";
import { leaveTool, useHand } from "../state/hand";
import { reshape, settle } from "../state/gesture";
import { fullSize } from "../state/view";

/** A place on the stage and in the picture. */
export interface Spot {
  sx: number;
  sy: number;
  /** Pixels at full size. */
  x: number;
  y: number;
  /** Fractions of the long edge, as recipes keep them. */
  point: Point;
  alt: boolean;
  shift: boolean;
  /** The pen's pressure, 0 to 1; 1 for a mouse. */
  pressure: number;
  /** How far the pen leans over, 0 upright to 1 flat; 0 for a mouse. */
  lean: number;
}

/** One tool: what pressing, moving and letting go mean while it is in hand. */
export interface Tool {
  cursor: string;
  /** Whether a press is all, so that letting go means nothing. */
  single?: boolean;
  down(at: Spot): void;
  /** @param between where the pointer was since the last move, more often than the screen is drawn */
  move(at: Spot, between: Spot[]): void;
  up(at: Spot): void;
  /** The system took the pointer away: what was begun is finished as it stands, nothing stays stuck. */
  cancel(): void;
}

/** A tool for a single press. */
export function press(cursor: string, down: (at: Spot) => void): Tool {
  return { cursor, single: true, down, move: () => {}, up: () => {}, cancel: () => {} };
}

/** How the next part joins: as chosen, or taking away while Alt is held. */
export function joins(at: { alt: boolean }): Part["combine"] {
  return at.alt ? "TAKE_AWAY" : useHand.getState().combine;
}

/** Long edge of the view in pixels at full size. */
export const longEdge = () => fullSize().long;

/** Whether a pointer moved far enough to mean it. */
export const far = (a: Spot, b: Spot) => Math.hypot(a.sx - b.sx, a.sy - b.sy) > 4;

/**
 * A tool that draws one shape in one drag: idle → drawing → one step. {@code make} gives the shape for
 * where the drag began, where it is now and all places between; nothing while it is too small.
 */
export function dragTool(make: (from: Spot, to: Spot, all: Point[]) => Shape | undefined): Tool {
  let from: Spot | undefined;
  let all: Point[] = [];
  let part = "";
  const draw = (at: Spot) => {
    const shape = from && make(from, at, all);
    if (!from || !shape) return;
    reshape(useHand.getState().region);
    if (part) changePart(part, (p) => (p.shape = shape));
    else part = startPart(shape, joins(from)).id;
  };
  const end = () => {
    if (part) {
      settle();
      leaveTool();
    }
    from = undefined;
    part = "";
  };
  return {
    cursor: "crosshair",
    down: (at) => {
      from = at;
      all = [at.point];
    },
    move: (at, between) => {
      if (!from) return;
      all.push(...between.map((b) => b.point), at.point);
      draw(at);
    },
    up: (at) => {
      draw(at);
      end();
    },
    cancel: end,
  };
}
