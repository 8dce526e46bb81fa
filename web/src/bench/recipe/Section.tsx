import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { look } from "../../theme";

/** A numbered section of the recipe: one stage of the work. */
export function Section({
  number,
  name,
  note,
  children,
}: {
  number: string;
  name: string;
  note?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <Box
      component="section"
      aria-label={name}
      id={`stage-${number}`}
      tabIndex={-1}
      sx={{ borderTop: 1, borderColor: "divider", px: 1.75, py: 0.9, scrollMarginTop: 8 }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
        <Typography component="span" sx={{ width: 14, color: look.soft, fontSize: 12 }}>
          {number}
        </Typography>
        <Typography variant="h3" component="h2">
          {name}
        </Typography>
        <Typography variant="body2" component="div" color="text.secondary" sx={{ ml: "auto" }}>
          {note}
        </Typography>
      </Box>
      {children}
    </Box>
  );
}
