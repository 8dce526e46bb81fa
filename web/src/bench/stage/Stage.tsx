import { Box } from "@mui/material";
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { useDropPlace } from "../../kit/drag";
import { HazeMap } from "../air/HazeMap";
import { CastMap } from "../balance/CastMap";
import { addPass } from "../edits/passes";
import { toolsOf } from "../tools";
import { useGesture } from "../state/gesture";
import { useHand } from "../state/hand";
import { useMasks } from "../state/masks";
import { point } from "../state/asking";
import { useView } from "../state/view";
import { geometry, resize, useViewport, zoomTo } from "../state/viewport";
import { useWipe } from "../state/wipe";
import type { Spot, Tool } from "../tools/tool";
import { WatchMarks } from "../watch/Watch";
import { BrushRing } from "./BrushRing";
import { Handles } from "./Handles";
import { paint } from "./paint";
import { ToolHint } from "./ToolHint";
import { WipeLine } from "./WipeLine";
import { Working } from "./Working";

/** A frame that is let go over the picture is brought in. */
function bringIn(frame: string | undefined) {
  const kind = useView.getState().kinds.find((k) => k.kind === "bring-frame");
  if (frame && kind) addPass(kind, useHand.getState().region, { frame });
}

/** The picture, with whatever tool is in hand. */
export function Stage() {
  const box = useRef<HTMLDivElement>(null);
  const [cursor, setCursor] = useState<{ x: number; y: number }>();
  const [space, setSpace] = useState(false);
  const tool = useHand((s) => s.tool);
  const partKinds = useView((s) => s.partKinds);
  const tools = useMemo(() => toolsOf(partKinds), [partKinds]);
  const inHand: Tool = (space ? undefined : tools[tool]) ?? tools.look;
  const [attach] = useDropPlace("stage", ({ frame }) => bringIn(frame));
  useSize(box);
  useWheel(box);
  useSpace(setSpace);

  const spot = (e: React.PointerEvent): Spot => {
    const r = e.currentTarget.getBoundingClientRect();
    const g = geometry();
    const sx = e.clientX - r.left;
    const sy = e.clientY - r.top;
    const x = (sx - g.ox) / g.scale;
    const y = (sy - g.oy) / g.scale;
    const long = Math.max(g.w, g.h);
    return {
      sx,
      sy,
      x: x - 0.5,
      y: y - 0.5,
      point: { x: x / long, y: y / long },
      alt: e.altKey,
      shift: e.shiftKey,
      pressure: e.pointerType === "pen" ? Math.max(0.02, e.pressure) : 1,
    };
  };
  return (
    <Box
      ref={(el: HTMLDivElement | null) => {
        box.current = el;
        attach(el);
      }}
      data-testid="stage"
      aria-label="Picture"
      role="application"
      sx={{
        position: "relative",
        overflow: "hidden",
        minHeight: 0,
        cursor: inHand.cursor,
        touchAction: "none",
      }}
      onPointerDown={(e) => {
        if (e.button !== 0) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        inHand.down(spot(e));
      }}
      onPointerMove={(e) => {
        const at = spot(e);
        point(at.x, at.y);
        setCursor({ x: at.sx, y: at.sy });
        if (e.buttons === 1) inHand.move(at);
      }}
      onPointerUp={(e) => inHand.up(spot(e))}
      onPointerCancel={() => inHand.cancel()}
      onPointerLeave={() => setCursor(undefined)}
    >
      <Canvas />
      <Working />
      <ToolHint />
      <CastMap />
      <HazeMap />
      <Handles />
      <WatchMarks />
      <WipeLine />
      {tool === "brush" && cursor && !space && <BrushRing at={cursor} />}
    </Box>
  );
}

/** The canvas; drawn again once a frame, when something that it shows has changed. */
function Canvas() {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let frame = 0;
    const draw = () => {
      frame = 0;
      if (canvas.current) paint(canvas.current);
    };
    const due = () => (frame ||= requestAnimationFrame(draw));
    due();
    const stops = [useViewport, useMasks, useGesture, useHand, useView, useWipe].map((store) =>
      store.subscribe(due),
    );
    return () => {
      stops.forEach((stop) => stop());
      cancelAnimationFrame(frame);
    };
  }, []);
  return <canvas ref={canvas} style={{ display: "block", position: "absolute", inset: 0 }} />;
}

function useSize(box: React.RefObject<HTMLDivElement | null>) {
  useLayoutEffect(() => {
    if (!box.current) return;
    const watch = new ResizeObserver(([e]) => {
      if (e) resize(Math.floor(e.contentRect.width), Math.floor(e.contentRect.height));
    });
    watch.observe(box.current);
    return () => watch.disconnect();
  }, [box]);
}

/** The wheel zooms with the point under it staying where it is. */
function useWheel(box: React.RefObject<HTMLDivElement | null>) {
  useEffect(() => {
    const el = box.current;
    if (!el) return;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      const r = el.getBoundingClientRect();
      zoomTo(geometry().scale * Math.exp(-e.deltaY * 0.0016), e.clientX - r.left, e.clientY - r.top);
    };
    el.addEventListener("wheel", wheel, { passive: false });
    return () => el.removeEventListener("wheel", wheel);
  }, [box]);
}

/** While the space bar is held the picture is moved, whatever tool is in hand. */
function useSpace(hold: (down: boolean) => void) {
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (e.code !== "Space" || e.target !== document.body) return;
      e.preventDefault();
      hold(e.type === "keydown");
    };
    const lost = () => hold(false);
    window.addEventListener("keydown", key);
    window.addEventListener("keyup", key);
    window.addEventListener("blur", lost);
    return () => {
      window.removeEventListener("keydown", key);
      window.removeEventListener("keyup", key);
      window.removeEventListener("blur", lost);
    };
  }, [hold]);
}
