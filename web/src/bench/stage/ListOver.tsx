import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { look } from "../../theme";

/** A list over the picture, in its upper right corner. */
export function ListOver({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{
        position: "absolute",
        right: 12,
        top: 12,
        width: 236,
        maxHeight: "60%",
        overflowY: "auto",
        bgcolor: look.card,
        border: `1px solid ${look.strong}`,
        p: 1,
      }}
    >
      <Typography variant="h3" component="h2">
        {name}
      </Typography>
      {children}
    </Box>
  );
}
