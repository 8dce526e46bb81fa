import { Alert, Box, Button, LinearProgress, Typography } from "@mui/material";
import { data, server } from "../api/client";
import { underWay } from "../api/jobs";
import type { Job } from "../api/types";

/** What a long task does, how far it is, and a way to stop it. */
export function JobStrip({ job }: { job: Job }) {
  const running = underWay(job);
  const cancel = () =>
    // what is over meanwhile cannot be cancelled; the strip says how it ended
    data(server.DELETE("/api/jobs/{id}", { params: { path: { id: job.id } } })).catch(() => {});
  return (
    <Box sx={{ my: 1 }} data-testid="job" data-state={job.state}>
      {running && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
          <Box sx={{ flexGrow: 1 }}>
            <Typography sx={{ mb: 0.5 }} aria-live="polite">
              {job.doing || `${job.verb}, waiting its turn`}
            </Typography>
            <LinearProgress
              variant="determinate"
              value={(100 * job.done) / Math.max(1, job.total)}
              aria-label={job.verb}
            />
          </Box>
          <Typography color="text.secondary">
            {job.done} of {job.total}
          </Typography>
          <Button onClick={() => void cancel()}>Cancel</Button>
        </Box>
      )}
      {job.state === "CANCELLED" && (
        <Alert severity="info">{job.verb} was cancelled; what was finished is kept.</Alert>
      )}
      {job.problems.map((p) => (
        <Alert key={p} severity="warning" sx={{ mt: 0.5 }}>
          {p}
        </Alert>
      ))}
    </Box>
  );
}
