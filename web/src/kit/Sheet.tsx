import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";

/** Things that belong together, under their title. */
export function Sheet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{
        border: 1,
        borderColor: "divider",
        bgcolor: "background.paper",
        p: 2,
        display: "grid",
        gap: 1.5,
      }}
    >
      <Typography variant="h2">{title}</Typography>
      {children}
    </Box>
  );
}
