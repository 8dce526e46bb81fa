import { Alert } from "@mui/material";

/** Something that went wrong, said plainly. */
export function Said({ problem, onClose }: { problem: unknown; onClose?: () => void }) {
  if (!problem) return null;
  const text = problem instanceof Error ? problem.message : String(problem);
  return (
    <Alert severity="warning" onClose={onClose} sx={{ mb: 1.5 }}>
      {text}
    </Alert>
  );
}
