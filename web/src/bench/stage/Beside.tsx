import { Box } from "@mui/material";
import { useEffect, useRef } from "react";
import { look } from "../../theme";
import { pan, useViewport } from "../state/viewport";
import { useWipe } from "../state/wipe";
import { placedImage, surface } from "./paint";
import { useWheel } from "./useWheel";

/** The anchor as the camera made it, beside the picture: the same place, as large; both move together. */
export function Beside() {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  useWheel(box);
  useEffect(() => {
    const draw = () => {
      const s = useViewport.getState();
      const { before } = useWipe.getState();
      const c = canvas.current && surface(canvas.current, s);
      if (c && before) placedImage(c, s, before);
    };
    draw();
    const stops = [useWipe.subscribe(draw), useViewport.subscribe(draw)];
    return () => stops.forEach((stop) => stop());
  }, []);
  return (
    <Box
      ref={box}
      role="img"
      aria-label="The camera's picture"
      data-testid="beside"
      sx={{
        position: "relative",
        overflow: "hidden",
        minWidth: 0,
        minHeight: 0,
        borderRight: `2px solid ${look.white}`,
        cursor: "grab",
        touchAction: "none",
      }}
      onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
      onPointerMove={(e) => e.buttons === 1 && pan(e.movementX, e.movementY)}
    >
      <canvas ref={canvas} style={{ display: "block", position: "absolute", inset: 0 }} />
      <Box
        sx={{
          position: "absolute",
          left: 8,
          bottom: 8,
          bgcolor: look.ink,
          color: look.white,
          fontSize: 11,
          px: 0.75,
        }}
      >
        camera
      </Box>
    </Box>
  );
}
