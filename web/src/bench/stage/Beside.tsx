import { Box } from "@mui/material";
import { useEffect, useRef } from "react";
import { look } from "../../theme";
import { geometry, pan, useViewport, zoomTo } from "../state/viewport";
import { useWipe } from "../state/wipe";
import { placedImage, surface } from "./paint";

/** The anchor as the camera made it, beside the picture: the same place, as large; both move together. */
export function Beside() {
  const canvas = useRef<HTMLCanvasElement>(null);
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
      onWheel={(e) => {
        const r = e.currentTarget.getBoundingClientRect();
        zoomTo(geometry().scale * Math.exp(-e.deltaY * 0.0016), e.clientX - r.left, e.clientY - r.top);
      }}
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
