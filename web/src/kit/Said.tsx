import { Alert } from "@mui/material";
import { saidOf } from "../api/client";

/** Something that went wrong, said plainly. */
export function Said({ problem, onClose }: { problem: unknown; onClose?: () => void }) {
  if (!problem) return null;
  return (
    <Alert severity="warning" onClose={onClose} sx={{ mb: 1.5 }}>
      {saidOf(problem)}
    </Alert>
  );
}
