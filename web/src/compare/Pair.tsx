import { Box, Button, Slider, Typography } from "@mui/material";
import { useEffect, useRef, useState, type PointerEvent } from "react";
import { useRest } from "../kit/rest";
import { look } from "../theme";
import { Readings, type Place } from "./Readings";
import { pictureOf, type Side } from "./sides";

export type Mode = "wipe" | "side" | "top" | "blink";

/** Zoom and place, the same for both pictures. */
interface Zoom {
  by: number;
  x: number;
  y: number;
}

const FIT: Zoom = { by: 1, x: 0, y: 0 };
const MOST = 8;
const BLINK = 700;
/** Until a place under a resting pointer is read; milliseconds. */
const REST = 120;
/** Reaches beyond any screen. */
const FAR = 6000;

/** What lies on one side of a line through a point of a box. */
function halfPlane(x: number, y: number, degrees: number): string {
  const t = (degrees * Math.PI) / 180;
  const [dx, dy] = [Math.sin(t) * FAR, Math.cos(t) * FAR];
  const [nx, ny] = [Math.cos(t) * FAR, -Math.sin(t) * FAR];
  const at = (px: number, py: number) => `${px.toFixed(1)}px ${py.toFixed(1)}px`;
  return `polygon(${at(x - dx, y - dy)}, ${at(x + dx, y + dy)}, ${at(x + dx + nx, y + dy + ny)}, ${at(x - dx + nx, y - dy + ny)})`;
}

/** Two pictures with one zoom: the second on one side of a line that follows the pointer, beside, below or in turn. */
export function Pair({ a, b, mode }: { a: Side; b: Side; mode: Mode }) {
  const [zoom, setZoom] = useState(FIT);
  const [angle, setAngle] = useState(0);
  const [second, setSecond] = useState(true);
  const [place, setPlace] = useState<Place>();
  const rest = useRest(REST);
  const over = useRef<HTMLDivElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const drag = useRef<{ x: number; y: number }>(undefined);
  const line = useRef({ x: 0, y: 0 });
  const wipe = (degrees: number) => {
    if (over.current) over.current.style.clipPath = halfPlane(line.current.x, line.current.y, degrees);
  };
  useEffect(() => {
    if (mode !== "wipe") return;
    const { width = 0, height = 0 } = box.current?.getBoundingClientRect() ?? {};
    line.current = { x: width / 2, y: height / 2 };
    if (over.current) over.current.style.clipPath = halfPlane(width / 2, height / 2, 0);
  }, [mode]);
  useEffect(() => {
    if (mode !== "blink") return;
    const beat = setInterval(() => setSecond((s) => !s), BLINK);
    return () => {
      clearInterval(beat);
      setSecond(true);
    };
  }, [mode]);
  const move = (e: PointerEvent<HTMLDivElement>) => {
    const at = e.currentTarget.getBoundingClientRect();
    const picture = e.currentTarget.querySelector("img")?.getBoundingClientRect();
    if (drag.current) {
      const { x, y } = drag.current;
      setZoom((z) => ({ ...z, x: z.x + e.clientX - x, y: z.y + e.clientY - y }));
      drag.current = { x: e.clientX, y: e.clientY };
      return;
    }
    line.current = { x: e.clientX - at.left, y: e.clientY - at.top };
    // straight to the screen: nothing is drawn anew by React while the line moves
    if (mode === "wipe") wipe(angle);
    if (picture) {
      // in the second of two boxes the same place of the picture is meant
      const halves = mode === "side" ? at.width / 2 : mode === "top" ? at.height / 2 : 0;
      const px = mode === "side" && line.current.x > halves ? e.clientX - halves : e.clientX;
      const py = mode === "top" && line.current.y > halves ? e.clientY - halves : e.clientY;
      const under = { x: (px - picture.left) / picture.width, y: (py - picture.top) / picture.height };
      rest(() => setPlace(under));
    }
  };
  const scaled = (by: number) => setZoom((z) => ({ ...z, by: Math.max(1, Math.min(MOST, z.by * by)) }));
  const beside = mode === "side" || mode === "top";
  // separate layers are not redrawn while the line moves; enlarged ones would be blurred
  const layer = mode === "wipe" && zoom.by === 1;
  return (
    <>
      <Box
        ref={box}
        data-testid="compare"
        onPointerMove={move}
        onPointerDown={(e) => {
          if (zoom.by > 1) {
            drag.current = { x: e.clientX, y: e.clientY };
            e.currentTarget.setPointerCapture(e.pointerId);
          }
        }}
        onPointerUp={() => (drag.current = undefined)}
        onWheel={(e) => scaled(e.deltaY < 0 ? 1.25 : 0.8)}
        sx={{
          flexGrow: 1,
          minHeight: 0,
          position: "relative",
          overflow: "hidden",
          bgcolor: look.surround.grey,
          display: "grid",
          gridTemplate:
            mode === "side" ? "100% / 50% 50%" : mode === "top" ? "50% 50% / 100%" : "100% / 100%",
          touchAction: "none",
          cursor: zoom.by > 1 ? "grab" : mode === "wipe" ? "crosshair" : "default",
        }}
      >
        <Picture side={a} zoom={zoom} layer={layer} area={beside ? undefined : "1 / 1"} />
        <Box
          ref={over}
          sx={{
            gridArea: beside ? undefined : "1 / 1",
            minWidth: 0,
            minHeight: 0,
            display: "grid",
            visibility: mode === "blink" && !second ? "hidden" : "visible",
            willChange: layer ? "transform" : undefined,
          }}
          style={mode === "wipe" ? undefined : { clipPath: "none" }}
        >
          <Picture side={b} zoom={zoom} layer={layer} />
        </Box>
        <Name at="left" name={a.name} shown={mode !== "blink" || !second} />
        <Name at="right" name={b.name} shown={mode !== "blink" || second} />
      </Box>
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 2,
          px: 2,
          height: 56,
          borderTop: 1,
          borderColor: "divider",
        }}
      >
        <Button onClick={() => setZoom(FIT)}>Fit</Button>
        <Button onClick={() => scaled(2)}>Larger</Button>
        <Button onClick={() => scaled(0.5)}>Smaller</Button>
        {mode === "wipe" && (
          <>
            <Typography>Line</Typography>
            <Slider
              size="small"
              min={-90}
              max={90}
              step={5}
              value={angle}
              aria-label="Angle of the line"
              valueLabelDisplay="auto"
              valueLabelFormat={(v) => `${v}°`}
              onChange={(_, to) => {
                setAngle(to);
                wipe(to);
              }}
              sx={{ width: 140 }}
            />
          </>
        )}
        <Readings a={a} b={b} place={place} />
      </Box>
    </>
  );
}

function Picture({ side, zoom, layer, area }: { side: Side; zoom: Zoom; layer: boolean; area?: string }) {
  return (
    <Box
      sx={{
        gridArea: area,
        position: "relative",
        overflow: "hidden",
        minWidth: 0,
        minHeight: 0,
        bgcolor: look.surround.grey,
      }}
    >
      <img
        src={pictureOf(side)}
        alt={side.name}
        draggable={false}
        style={{
          position: "absolute",
          inset: 0,
          margin: "auto",
          maxWidth: "100%",
          maxHeight: "100%",
          transform: `translate(${zoom.x}px, ${zoom.y}px) scale(${zoom.by})`,
          willChange: layer ? "transform" : undefined,
        }}
      />
    </Box>
  );
}

function Name({ at, name, shown }: { at: "left" | "right"; name: string; shown: boolean }) {
  return (
    <Typography
      sx={{
        position: "absolute",
        [at]: 12,
        bottom: 12,
        px: 1,
        bgcolor: look.white,
        pointerEvents: "none",
        visibility: shown ? "visible" : "hidden",
      }}
    >
      {name}
    </Typography>
  );
}
