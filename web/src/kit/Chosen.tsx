import { Box, Button, Tooltip, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { look } from "../theme";
import type { Selection } from "./selection";

/** What can be done with all that is chosen, at the foot of a screen; not there while nothing is. */
export function Chosen({
  selection,
  what,
  children,
}: {
  selection: Selection;
  /** What is chosen, as one says it: "frame". */
  what: string;
  children: ReactNode;
}) {
  const n = selection.chosen.length;
  if (n === 0) return null;
  return (
    <Box
      role="toolbar"
      aria-label={`What is done with the ${what}s that are chosen`}
      sx={{
        px: 2.5,
        py: 1,
        display: "flex",
        alignItems: "center",
        gap: 1,
        borderTop: `2px solid ${look.amberFill}`,
        bgcolor: look.white,
        "& .MuiButton-root": { whiteSpace: "nowrap" },
      }}
    >
      <Tooltip title="Shift and a press choose all between, Ctrl+A all, Esc none">
        <Typography noWrap sx={{ mr: "auto" }}>
          {n} {n === 1 ? `${what} is` : `${what}s are`} chosen
        </Typography>
      </Tooltip>
      {children}
      <Button onClick={selection.clear}>Choose none</Button>
    </Box>
  );
}
