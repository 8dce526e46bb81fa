import { Box, Dialog, Typography } from "@mui/material";
import type { FormEvent, ReactNode } from "react";

/** Something that is asked or shown over a screen: its title, which is also its name, and its buttons below. */
export function Asking({
  title,
  width = 440,
  open = true,
  onClose,
  onEnter,
  buttons,
  children,
}: {
  title: string;
  width?: number;
  open?: boolean;
  onClose: () => void;
  /** Where something is entered: what happens when that is done. */
  onEnter?: () => void;
  buttons: ReactNode;
  children: ReactNode;
}) {
  return (
    <Dialog open={open} onClose={onClose} maxWidth={false} slotProps={{ paper: { "aria-label": title } }}>
      <Box
        component={onEnter ? "form" : "div"}
        onSubmit={
          onEnter &&
          ((e: FormEvent) => {
            e.preventDefault();
            onEnter();
          })
        }
        sx={{ p: 2.5, width, display: "grid", gap: 1.5 }}
      >
        <Typography variant="h2">{title}</Typography>
        {children}
        <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end", mt: 0.5 }}>{buttons}</Box>
      </Box>
    </Dialog>
  );
}
