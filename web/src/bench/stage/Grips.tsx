import { useDrag } from "@use-gesture/react";
import type { Point } from "../../api/types";
import { ARROWS } from "../../kit/arrows";
import { look } from "../../theme";
import type { Grip } from "../parts/part";
import { minus, plus } from "../parts/part";
import { reshape, settle } from "../state/gesture";
import { HIT, Square, stepOf } from "./Held";
import { usePlace } from "./place";

/** The grips of something; its sides take new points, a double click takes a point out. */
export function Grips<T>({
  of,
  worked,
  grips,
  sides = [],
  put,
  testid = "grip",
}: {
  /** What they are grips of, in words. */
  of: string;
  /** Id of the pass or region that is worked on with them. */
  worked: string;
  grips: Grip<T>[];
  sides?: { at: Point; with: () => T }[];
  /** Puts it in its place, not yet as a step. */
  put: (to: T) => void;
  testid?: string;
}) {
  const { at, scale, long, under: placeUnder } = usePlace();
  const set = (to: T) => {
    put(to);
    settle();
  };
  const under = ([x, y]: [number, number], target: EventTarget | null): Point | undefined => {
    const box = (target as SVGElement).ownerSVGElement?.getBoundingClientRect();
    return box && placeUnder(x - box.left, y - box.top);
  };
  const pull = (i: number, p: Point) => {
    const grip = grips[i];
    if (grip) put(grip.to(p));
  };
  const nudge = (i: number, from: Point, [x, y]: [number, number], pixels: number) => {
    const k = pixels / scale / long;
    reshape(worked);
    pull(i, plus(from, { x: x * k, y: y * k }));
    settle();
  };
  // a system that takes the pointer away ends the drag as it stands
  const drag = useDrag(
    ({ args: [i], xy, initial, currentTarget, event, first, last, tap, memo }) => {
      event.stopPropagation();
      const p = under(xy, currentTarget);
      const taken = under(initial, currentTarget);
      const grip = grips[i as number];
      if (!p || !taken || !grip || tap) return;
      reshape(worked);
      // it is held where it was taken
      const held = (first ? minus(grip.at, taken) : memo) as Point;
      pull(i as number, plus(p, held));
      if (last) settle();
      return held;
    },
    { pointer: { capture: true, keys: false }, filterTaps: true },
  );
  // a point is put in and moved in one go
  const putIn = useDrag(
    ({ args: [i], xy, currentTarget, event, first, last, tap }) => {
      event.stopPropagation();
      const side = sides[i as number];
      const p = under(xy, currentTarget);
      if (!p) return;
      if (tap && side) set(side.with());
      if (tap) return;
      reshape(worked);
      if (first) {
        if (side) put(side.with());
      } else pull((i as number) + 1, p);
      if (last) settle();
    },
    { pointer: { capture: true, keys: false }, filterTaps: true },
  );
  return (
    <>
      {sides.map((side, i) => (
        <g
          key={`side ${i}`}
          {...putIn(i)}
          style={{ pointerEvents: "all", cursor: "copy", touchAction: "none" }}
          tabIndex={0}
          role="button"
          aria-label="Put a point in here"
          onKeyDown={(e) => {
            if (e.key !== "Enter" && e.key !== " ") return;
            e.preventDefault();
            e.stopPropagation();
            set(side.with());
          }}
        >
          <title>Put a point in here, and drag it</title>
          <circle cx={at(side.at).x} cy={at(side.at).y} r={HIT / 2} fill="transparent" />
          <circle cx={at(side.at).x} cy={at(side.at).y} r={3} fill="#fff" stroke="#222" />
        </g>
      ))}
      {grips.map((grip, i) => (
        <g
          key={i}
          {...drag(i)}
          data-testid={testid}
          style={{ pointerEvents: "all", cursor: "move", touchAction: "none" }}
          tabIndex={0}
          role="button"
          aria-label={`${grip.name}, ${of}`}
          onDoubleClick={() => grip.without && set(grip.without())}
          onKeyDown={(e) => {
            const by = ARROWS[e.key];
            const gone = e.key === "Delete" || e.key === "Backspace" ? grip.without : undefined;
            if (!by && !gone) return;
            e.preventDefault();
            e.stopPropagation();
            if (gone) set(gone());
            if (by) nudge(i, grip.at, by, stepOf(e));
          }}
        >
          <title>{grip.name}</title>
          <Square {...at(grip.at)} fill={grip.name === "Move" ? look.amberFill : "#fff"} />
        </g>
      ))}
    </>
  );
}
