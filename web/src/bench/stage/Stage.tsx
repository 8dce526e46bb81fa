import { Box } from "@mui/material";
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { shallow } from "zustand/shallow";
import { useDropPlace } from "../../kit/drag";
import { HazeMap } from "../air/HazeMap";
import { CastMap } from "../balance/CastMap";
import { CropOver } from "../crop/CropOver";
import { LinesOver } from "../crop/LinesOver";
import { addPass } from "../edits/passes";
import { toolsOf } from "../tools";
import { useGesture } from "../state/gesture";
import { useHand } from "../state/hand";
import { useLay } from "../state/lay";
import { useMasks } from "../state/masks";
import { useView } from "../state/view";
import { resize, useViewport } from "../state/viewport";
import { useWipe } from "../state/wipe";
import type { Tool } from "../tools/tool";
import { SpecksMarks } from "../specks/Specks";
import { WatchMarks } from "../watch/Watch";
import { BrushRing } from "./BrushRing";
import { Handles } from "./Handles";
import { awaited, paint, painted } from "./paint";
import { useCross, useHandOnStage, type Place } from "./useHandOnStage";
import { ToolHint } from "./ToolHint";
import { useWheel } from "./useWheel";
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
  const [space, setSpace] = useState(false);
  const tool = useHand((s) => s.tool);
  const partKinds = useView((s) => s.partKinds);
  const tools = useMemo(() => toolsOf(partKinds), [partKinds]);
  const inHand: Tool = (space ? undefined : tools[tool]) ?? tools.look;
  const [attach] = useDropPlace("stage", ({ frame }) => bringIn(frame));
  useSize(box);
  useWheel(box);
  useSpace(setSpace);

  const handlers = useHandOnStage(inHand);
  const cross = useCross(inHand, inHand === tools.look);
  return (
    <Box
      ref={(el: HTMLDivElement | null) => {
        box.current = el;
        attach(el);
      }}
      data-testid="stage"
      aria-label="Picture"
      role="application"
      tabIndex={0}
      sx={{
        position: "relative",
        overflow: "hidden",
        minHeight: 0,
        cursor: inHand.cursor,
        touchAction: "none",
      }}
      {...handlers}
      {...cross.handlers}
      onPointerDown={(e) => {
        cross.lift();
        handlers.onPointerDown(e);
      }}
    >
      <Canvas />
      <Working />
      <ToolHint keyboard={!!cross.at} />
      <CastMap />
      <HazeMap />
      <Handles />
      <WatchMarks />
      <SpecksMarks />
      <WipeLine />
      <CropOver />
      <LinesOver />
      {tool === "brush" && !space && <BrushRing cross={cross.at} />}
      {cross.at && <Cross at={cross.at} />}
    </Box>
  );
}

/** Where the arrow keys stand. */
function Cross({ at }: { at: Place }) {
  const lines = `M${at.x - 12},${at.y}h24M${at.x},${at.y - 12}v24`;
  return (
    <svg
      data-testid="cross"
      style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}
    >
      <path d={lines} stroke="#fff" strokeWidth={3} />
      <path d={lines} stroke="#222" />
    </svg>
  );
}

/** The canvas; drawn again once a frame, when something that it shows has changed. */
function Canvas() {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let frame = 0;
    let drawn: readonly unknown[] = [];
    const draw = () => {
      frame = 0;
      drawn = painted();
      if (canvas.current) paint(canvas.current);
    };
    const due = () => {
      if (!frame && !awaited(drawn) && !shallow(drawn, painted())) frame = requestAnimationFrame(draw);
    };
    due();
    const stops = [useViewport, useMasks, useGesture, useHand, useView, useWipe, useLay].map((store) =>
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

/** Whether a key is for nothing else. */
const free = (on: EventTarget | null) =>
  on === document.body || (on instanceof HTMLElement && on.dataset.testid === "stage");

/** While the space bar is held the picture is moved, whatever tool is in hand. */
function useSpace(hold: (down: boolean) => void) {
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (e.code !== "Space" || !free(e.target)) return;
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
