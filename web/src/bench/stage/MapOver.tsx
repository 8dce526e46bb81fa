import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { look } from "../../theme";
import { usePlace } from "./place";

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
  return (
    <>
      <img
        src={src}
        alt={alt}
        draggable={false}
        onError={onError}
        style={{
          position: "absolute",
          left: g.ox,
          top: g.oy,
          width: g.w * g.scale,
          height: g.h * g.scale,
          pointerEvents: "none",
        }}
      />
      <Box sx={{ position: "absolute", left: 12, bottom: 12, bgcolor: look.paper, px: 1, py: 0.5 }}>
        <Typography variant="caption">{children}</Typography>
      </Box>
    </>
  );
}
