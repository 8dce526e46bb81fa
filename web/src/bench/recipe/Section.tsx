import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { StageHelp } from "../../guide/StageHelp";

/** A stage of the work, or another part of the recipe, under its name. */
export function Section({ name, note, children }: { name: string; note?: ReactNode; children?: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{ borderBottom: 1, borderColor: "divider", px: 1.5, py: 1 }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "center", minHeight: 26 }}>
        <Typography variant="h3" component="h2">
          {name}
        </Typography>
        <StageHelp stage={name} />
        <Typography
          variant="body2"
          component="div"
          color="text.secondary"
          sx={{ ml: "auto", display: "flex", alignItems: "center", gap: 0.5 }}
        >
          {note}
        </Typography>
      </Box>
      {children}
    </Box>
  );
}
