import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { look } from "../../theme";
import { fullSize } from "../state/view";
import { usePlace } from "./place";

/** Side of the square that a map fills before it is laid onto the picture. */
const SIDE = 100;

interface At {
  x: number;
  y: number;
}

/** The projective transform that lays a square onto four places (Heckbert 1989, 2.2.3). */
function onto([a, b, c, d]: [At, At, At, At]): string {
  const sx = a.x - b.x + c.x - d.x;
  const sy = a.y - b.y + c.y - d.y;
  const x1 = b.x - c.x;
  const x2 = d.x - c.x;
  const y1 = b.y - c.y;
  const y2 = d.y - c.y;
  const n = x1 * y2 - x2 * y1;
  const g = (sx * y2 - x2 * sy) / n;
  const k = (x1 * sy - sx * y1) / n;
  const m = [b.x - a.x + g * b.x, b.y - a.y + g * b.y, d.x - a.x + k * d.x, d.y - a.y + k * d.y];
  const [p = 0, q = 0, r = 0, s = 0] = m.map((v) => v / SIDE);
  return `matrix3d(${[p, q, 0, g / SIDE, r, s, 0, k / SIDE, 0, 0, 1, 0, a.x, a.y, 0, 1].join()})`;
}

/** A map of the whole view laid over the picture, with a line on how to read it. */
export function MapOver({
  src,
  alt,
  onError,
  children,
}: {
  src: string;
  alt: string;
  onError?: () => void;
  children: ReactNode;
}) {
  const g = usePlace();
  const { long } = g;
  const { w: wide, h: high } = fullSize();
  const w = wide / long;
  const h = high / long;
  // in the picture's own box, so that what was cut is cut from the map too
  const at = (p: At) => {
    const { x, y } = g.at(p);
    return { x: x - g.ox, y: y - g.oy };
  };
  return (
    <>
      <Box
        sx={{
          position: "absolute",
          left: g.ox,
          top: g.oy,
          width: g.w * g.scale,
          height: g.h * g.scale,
          overflow: "hidden",
          pointerEvents: "none",
        }}
      >
        <img
          src={src}
          alt={alt}
          draggable={false}
          onError={onError}
          style={{
            position: "absolute",
            left: 0,
            top: 0,
            width: SIDE,
            height: SIDE,
            transformOrigin: "0 0",
            transform: onto([at({ x: 0, y: 0 }), at({ x: w, y: 0 }), at({ x: w, y: h }), at({ x: 0, y: h })]),
          }}
        />
      </Box>
      <Box sx={{ position: "absolute", left: 12, bottom: 12, bgcolor: look.paper, px: 1, py: 0.5 }}>
        <Typography variant="caption">{children}</Typography>
      </Box>
    </>
  );
}
