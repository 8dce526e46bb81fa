import { Box, Typography } from "@mui/material";
import type { FormEventHandler, ReactNode } from "react";
import { Mark } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";

/** What stands before the screens: one small form. */
export function Door({
  says,
  problem,
  onEnter,
  children,
}: {
  /** What it is about. */
  says: string;
  problem: unknown;
  onEnter: () => Promise<void>;
  children: ReactNode;
}) {
  const enter: FormEventHandler = (e) => {
    e.preventDefault();
    void onEnter();
  };
  return (
    <Box
      component="main"
      sx={{ height: "100%", display: "grid", placeItems: "center", bgcolor: look.surround.grey }}
    >
      <Box
        component="form"
        onSubmit={enter}
        sx={{
          width: 340,
          bgcolor: "background.paper",
          border: `1px solid ${look.ink}`,
          p: 3,
          display: "grid",
          gap: 2,
        }}
      >
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
          <Mark />
          <Typography variant="h1">Illuminar</Typography>
        </Box>
        <Typography color="text.secondary">{says}</Typography>
        <Said problem={problem} />
        {children}
      </Box>
    </Box>
  );
}
