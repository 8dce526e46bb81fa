import { Transmission } from "../air/Transmission";
import { CastMap } from "../balance/CastMap";
import { WatchMarks } from "../watch/Watch";
import { Box, Typography } from "@mui/material";
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { addPass, geometry, point, resize, useBench, zoomTo } from "../store";
import { Handles } from "./Handles";
import { paint } from "./paint";
import { hands as allHands } from "./hands";
import type { Hand, Spot } from "./hands/hand";

/** What the canvas shows; nothing else needs it drawn again. */
const SHOWN = [
  "picture",
  "stage",
  "zoom",
  "sheet",
  "surround",
  "colourOff",
  "zebra",
  "clipping",
  "moving",
  "veil",
  "before",
  "alone",
  "mask",
  "region",
  "hovered",
  "tint",
] as const;

/** The picture, with whatever tool is in hand. */
export function Stage() {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const tool = useBench((s) => s.tool);
  const brush = useBench((s) => s.brush);
  const opening = useBench((s) => !!s.sheet && s.roundMs === 0 && !s.problem);
  const [space, setSpace] = useState(false);
  const [cursor, setCursor] = useState<{ x: number; y: number }>();
  const hands = useMemo(allHands, []);
  const hand: Hand = space ? hands.look : hands[tool];

  useLayoutEffect(() => {
    const watch = new ResizeObserver(([e]) =>
      resize(Math.floor(e.contentRect.width), Math.floor(e.contentRect.height)),
    );
    watch.observe(box.current!);
    return () => watch.disconnect();
  }, []);
  useEffect(() => {
    let frame = 0;
    const draw = () => {
      frame = 0;
      if (canvas.current) paint(canvas.current, useBench.getState());
    };
    const stop = useBench.subscribe((now, before) => {
      if (SHOWN.some((k) => now[k] !== before[k])) frame ||= requestAnimationFrame(draw);
    });
    frame = requestAnimationFrame(draw);
    return () => {
      stop();
      cancelAnimationFrame(frame);
    };
  }, []);
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (e.code === "Space" && e.target === document.body) {
        e.preventDefault();
        setSpace(e.type === "keydown");
      }
    };
    window.addEventListener("keydown", key);
    window.addEventListener("keyup", key);
    return () => {
      window.removeEventListener("keydown", key);
      window.removeEventListener("keyup", key);
    };
  }, []);
  useEffect(() => {
    const el = box.current!;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      const r = el.getBoundingClientRect();
      zoomTo(geometry().scale * Math.exp(-e.deltaY * 0.0016), e.clientX - r.left, e.clientY - r.top);
    };
    el.addEventListener("wheel", wheel, { passive: false });
    return () => el.removeEventListener("wheel", wheel);
  }, []);

  const spot = (e: React.PointerEvent | React.DragEvent): Spot => {
    const r = box.current!.getBoundingClientRect();
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
      pressure: "pointerType" in e && e.pointerType === "pen" ? Math.max(0.02, e.pressure) : 1,
    };
  };
  const size = brush.size * geometry().scale;
  return (
    <Box
      ref={box}
      data-testid="stage"
      aria-label="Picture"
      role="application"
      sx={{
        position: "relative",
        overflow: "hidden",
        minHeight: 0,
        cursor: hand.cursor,
        touchAction: "none",
      }}
      onPointerDown={(e) => {
        if (e.button === 1) return;
        (e.target as Element).setPointerCapture(e.pointerId);
        hand.down(spot(e));
      }}
      onPointerMove={(e) => {
        const at = spot(e);
        point(at.x, at.y);
        setCursor({ x: at.sx, y: at.sy });
        if (e.buttons === 1) hand.move(at);
      }}
      onPointerUp={(e) => hand.up(spot(e))}
      onPointerLeave={() => setCursor(undefined)}
      onDragOver={(e) => e.preventDefault()}
      onDrop={(e) => {
        e.preventDefault();
        const frame = e.dataTransfer.getData("text/frame");
        const s = useBench.getState();
        const kind = s.kinds.find((k) => k.kind === "bring-frame");
        if (frame && kind) addPass(kind, s.region, { frame });
      }}
    >
      <canvas ref={canvas} style={{ display: "block", position: "absolute", inset: 0 }} />
      {opening && (
        <Typography
          role="status"
          sx={{ position: "absolute", left: 12, bottom: 8, px: 1, bgcolor: "background.paper" }}
        >
          Opening the frames…
        </Typography>
      )}
      <CastMap />
      <Transmission />
      <Handles />
      <WatchMarks />
      {tool === "brush" && cursor && !space && (
        <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
          <circle cx={cursor.x} cy={cursor.y} r={size / 2} fill="none" stroke="#fff" strokeWidth={2.5} />
          <circle cx={cursor.x} cy={cursor.y} r={size / 2} fill="none" stroke="#222" />
          <circle
            cx={cursor.x}
            cy={cursor.y}
            r={(size / 2) * (1 - brush.softness)}
            fill="none"
            stroke="#222"
            strokeDasharray="2 3"
          />
        </svg>
      )}
    </Box>
  );
}
