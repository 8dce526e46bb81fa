import { Box, Button } from "@mui/material";
import type { ReactNode } from "react";

/** The row of small buttons under a stage's passes. */
export function StageButtons({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ mt: 0.5, display: "flex", gap: 0.5, flexWrap: "wrap", alignItems: "center" }}>{children}</Box>
  );
}

/** A small button under a stage's passes: adds a pass, or opens what helps with the stage. */
export function StageButton({
  children,
  onClick,
  pressed,
  label,
}: {
  children: ReactNode;
  onClick: () => void;
  /** Whether what it opens is open; left out where it opens nothing. */
  pressed?: boolean;
  /** A name for it where what it shows is too short. */
  label?: string;
}) {
  return (
    <Button
      data-once={pressed === undefined ? true : undefined}
      onClick={onClick}
      aria-pressed={pressed}
      aria-label={label}
      sx={{ px: 1, py: 0.1, fontSize: 12 }}
    >
      {children}
    </Button>
  );
}
