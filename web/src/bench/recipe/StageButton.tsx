import { Button } from "@mui/material";
import type { ReactNode } from "react";

/** A small button under a stage's passes: adds a pass, or opens what helps with the stage. */
export function StageButton({
  children,
  onClick,
  pressed,
}: {
  children: ReactNode;
  onClick: () => void;
  /** Whether what it opens is open; left out where it opens nothing. */
  pressed?: boolean;
}) {
  return (
    <Button
      onClick={onClick}
      aria-pressed={pressed}
      sx={{
        ml: "22px",
        mt: 0.5,
        px: 1,
        py: 0.1,
        fontSize: 12,
        ...(pressed ? { bgcolor: "#dcdcdc", fontWeight: 600 } : {}),
      }}
    >
      {children}
    </Button>
  );
}
