import { useCallback, useEffect, useRef, useState } from "react";
import { create } from "zustand";
import { ARROWS } from "../../kit/arrows";
import { within } from "../../kit/numbers";
import { point } from "../state/asking";
import { toView } from "../state/lay";
import { fullSize } from "../state/view";
import { pan, geometry, useViewport, zoomTo } from "../state/viewport";
import { far, type Spot, type Tool } from "../tools/tool";

/** A place on the stage, pixels. */
export interface Place {
  x: number;
  y: number;
}

/** Pixels that an arrow key moves the cross by, and with Ctrl. */
const STEP = 8;
const FINE = 1;

/** Tilt from upright at which a pen lies flat, degrees. */
const FLAT = 60;

/** Where the pointer is over the stage: known to what follows it, so that nothing else is drawn anew. */
export const usePointer = create<{ at?: Place }>(() => ({}));

interface Held {
  altKey: boolean;
  shiftKey: boolean;
}

function spotOf({ x: sx, y: sy }: Place, held: Held, pressure = 1, lean = 0): Spot {
  const g = geometry();
  const at = toView((sx - g.ox) / g.scale, (sy - g.oy) / g.scale);
  const { long } = fullSize();
  return {
    sx,
    sy,
    x: at.x * long - 0.5,
    y: at.y * long - 0.5,
    point: at,
    alt: held.altKey,
    shift: held.shiftKey,
    pressure,
    lean,
  };
}

function placeOf(e: PointerEvent, stage: Element): Place {
  const r = stage.getBoundingClientRect();
  return { x: e.clientX - r.left, y: e.clientY - r.top };
}

function pointerSpot(e: PointerEvent, stage: Element): Spot {
  const pen = e.pointerType === "pen";
  const lean = Math.min(1, Math.hypot(e.tiltX, e.tiltY) / FLAT);
  return spotOf(placeOf(e, stage), e, pen ? Math.max(0.02, e.pressure) : 1, pen ? lean : 0);
}

/**
 * What a mouse, a pen, one finger and the arrow keys do with the tool in hand; two fingers move and zoom the
 * picture. A finger's press counts once it has moved or been lifted, so that a second one can still join it.
 */
export function useHandOnStage(tool: Tool) {
  const fingers = useFingers();
  const waiting = useRef<Spot>(undefined);
  const begin = () => {
    if (waiting.current) tool.down(waiting.current);
    waiting.current = undefined;
  };
  return {
    onPointerDown: ({ nativeEvent: e, currentTarget: stage }: React.PointerEvent) => {
      if (e.button !== 0) return;
      stage.setPointerCapture(e.pointerId);
      if (e.pointerType !== "touch") {
        tool.down(pointerSpot(e, stage));
        return;
      }
      if (fingers.put(e, stage) === 1) waiting.current = pointerSpot(e, stage);
      else if (waiting.current) waiting.current = undefined;
      else tool.cancel();
    },
    onPointerMove: ({ nativeEvent: e, currentTarget: stage }: React.PointerEvent) => {
      const at = pointerSpot(e, stage);
      point(at.x, at.y);
      usePointer.setState({ at: { x: at.sx, y: at.sy } });
      if (fingers.move(e, stage) || e.buttons !== 1) return;
      if (waiting.current && far(waiting.current, at)) begin();
      if (waiting.current) return;
      const all = e.getCoalescedEvents();
      tool.move(
        at,
        all.slice(0, -1).map((o) => pointerSpot(o, stage)),
      );
    },
    onPointerUp: ({ nativeEvent: e, currentTarget: stage }: React.PointerEvent) => {
      const two = fingers.lift(e);
      if (two) return;
      begin();
      tool.up(pointerSpot(e, stage));
    },
    onPointerCancel: ({ nativeEvent: e }: React.PointerEvent) => {
      fingers.lift(e);
      waiting.current = undefined;
      tool.cancel();
    },
    onPointerLeave: () => usePointer.setState({ at: undefined }),
  };
}

/** Two fingers on the stage move and zoom the picture. */
function useFingers() {
  const down = useRef(new Map<number, Place>());
  // once two were down, the one that is left draws nothing
  const two = useRef(false);
  return {
    /** How many are down now. */
    put: (e: PointerEvent, stage: Element) => {
      down.current.set(e.pointerId, placeOf(e, stage));
      two.current ||= down.current.size > 1;
      return down.current.size;
    },
    /** Whether the move was theirs. */
    move: (e: PointerEvent, stage: Element) => {
      const was = down.current.get(e.pointerId);
      if (!was || !two.current) return two.current && e.pointerType === "touch";
      const other = [...down.current].find(([id]) => id !== e.pointerId)?.[1];
      const now = placeOf(e, stage);
      down.current.set(e.pointerId, now);
      if (!other) return true;
      pan((now.x - was.x) / 2, (now.y - was.y) / 2);
      const spread = (p: Place) => Math.max(8, Math.hypot(p.x - other.x, p.y - other.y));
      zoomTo((geometry().scale * spread(now)) / spread(was), (now.x + other.x) / 2, (now.y + other.y) / 2);
      return true;
    },
    /** Whether it was one of two. */
    lift: (e: PointerEvent) => {
      const was = two.current && e.pointerType === "touch";
      down.current.delete(e.pointerId);
      if (down.current.size === 0) two.current = false;
      return was;
    },
  };
}

/**
 * A cross that arrow keys move over the focused stage, Ctrl by single pixels; once it is there Space presses
 * and lets go. With no tool in hand the arrow keys move the picture.
 *
 * @param looking whether no tool is in hand
 */
export function useCross(tool: Tool, looking: boolean) {
  const [at, setAt] = useState<Place>();
  const [pressed, setPressed] = useState(false);
  const lift = useCallback(() => {
    setPressed(false);
    setAt(undefined);
  }, []);
  // what was begun with another tool is over
  useEffect(() => lift, [tool, lift]);
  const middle = () => {
    const { width, height } = useViewport.getState().stage;
    return { x: Math.round(width / 2), y: Math.round(height / 2) };
  };
  const step = (by: [number, number], e: React.KeyboardEvent) => {
    const size = e.ctrlKey ? FINE : STEP;
    if (looking) {
      pan(-by[0] * size * 4, -by[1] * size * 4);
      return;
    }
    const { width, height } = useViewport.getState().stage;
    const from = at ?? middle();
    const to = {
      x: within(from.x + by[0] * size, 0, width),
      y: within(from.y + by[1] * size, 0, height),
    };
    setAt(to);
    const spot = spotOf(to, e);
    point(spot.x, spot.y);
    if (pressed) tool.move(spot, []);
  };
  const press = (from: Place, e: React.KeyboardEvent) => {
    if (pressed) tool.up(spotOf(from, e));
    else tool.down(spotOf(from, e));
    setPressed(!pressed && !tool.single);
  };
  return {
    at,
    lift,
    handlers: {
      onKeyDown: (e: React.KeyboardEvent) => {
        if (e.target !== e.currentTarget) return;
        const by = ARROWS[e.key];
        if (by) step(by, e);
        else if (e.code === "Space" && at) {
          if (!e.repeat) press(at, e);
        } else {
          if (e.key === "Escape" && pressed) tool.cancel();
          return;
        }
        e.preventDefault();
        e.stopPropagation();
      },
      onBlur: () => {
        if (pressed) tool.cancel();
        lift();
      },
    },
  };
}
