import { Alert, Box, Button, LinearProgress, Typography } from "@mui/material";
import { ask, type Job } from "../api/client";

const VERB = { DEMO: "Taking in", INTAKE: "Taking in", LINE_UP: "Lining up", DELIVERY: "Delivering" };

/** What a long task does, how far it is, and a way to stop it. */
export function JobStrip({ job }: { job: Job }) {
  const running = job.state === "RUNNING" || job.state === "WAITING";
  return (
    <Box sx={{ my: 1 }} data-testid="job" data-state={job.state}>
      {running && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
          <Box sx={{ flexGrow: 1 }}>
            <Typography sx={{ mb: 0.5 }} aria-live="polite">
              {job.doing || `${VERB[job.kind]}, waiting its turn`}
            </Typography>
            <LinearProgress
              variant="determinate"
              value={(100 * job.done) / Math.max(1, job.total)}
              aria-label={VERB[job.kind]}
            />
          </Box>
          <Typography color="text.secondary">
            {job.done} of {job.total}
          </Typography>
          <Button onClick={() => void ask(`/api/jobs/${job.id}`, { method: "DELETE" })}>Cancel</Button>
        </Box>
      )}
      {job.state === "CANCELLED" && (
        <Alert severity="info">{VERB[job.kind]} was cancelled; what was finished is kept.</Alert>
      )}
      {job.problems.map((p) => (
        <Alert key={p} severity="warning" sx={{ mt: 0.5 }}>
          {p}
        </Alert>
      ))}
    </Box>
  );
}
