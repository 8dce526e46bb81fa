import { Box, Button, Typography } from "@mui/material";
import { Link, useParams } from "react-router";
import { useMay } from "../account/roles";
import type { ViewCard } from "../api/types";
import { useJobs } from "../api/jobs";
import { useShoot } from "../api/shoots";
import { useBin } from "../bin/useBin";
import { CardMenu } from "../kit/CardMenu";
import { JobStrip } from "../kit/JobStrip";
import { gone, NotThere } from "../kit/NotThere";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";
import { STATE } from "./states";

/** The views of a shoot side by side. */
export function Contacts() {
  const { shoot: id = "" } = useParams();
  const shoot = useShoot(id);
  const jobs = useJobs(id);
  const bin = useBin();
  const may = useMay();
  const running = jobs.filter((j) => j.state === "RUNNING" || j.state === "WAITING");
  const bar = (
    <TopBar crumbs={[{ to: "/shoots", name: "Shoots" }, { name: shoot.data?.name ?? "…" }]}>
      {may.takeIn && (
        <Button component={Link} to={`/shoots/${id}/intake`}>
          Intake
        </Button>
      )}
      <Button
        component={Link}
        to={`/shoots/${id}/delivery`}
        variant="contained"
        disabled={!shoot.data?.views.length}
      >
        Deliver
      </Button>
    </TopBar>
  );
  if (gone(shoot.error)) return <NotThere said={shoot.error.message} />;
  return (
    <Page bar={bar}>
      <Said problem={shoot.error ?? bin.problem} />
      {running.map((j) => (
        <JobStrip key={j.id} job={j} />
      ))}
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "repeat(auto-fill, minmax(360px, 1fr))",
          gap: 2.5,
          bgcolor: look.paper,
        }}
      >
        {shoot.data?.views.map((v) => (
          <Contact
            key={v.id}
            view={v}
            onRename={(name) => bin.rename({ id: v.id, view: true, name })}
            onThrow={may.remove ? () => bin.throwAway({ id: v.id, view: true, name: v.name }) : undefined}
          />
        ))}
      </Box>
      {shoot.data?.views.length === 0 && running.length === 0 && (
        <Typography>
          No views yet. <Link to={`/shoots/${id}/intake`}>Add frames</Link> to begin.
        </Typography>
      )}
      {bin.note}
    </Page>
  );
}

function Contact({
  view,
  onRename,
  onThrow,
}: {
  view: ViewCard;
  onRename: (to: string) => void;
  onThrow?: () => void;
}) {
  const ready = view.state !== "NEW";
  return (
    <Box component="article" sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper" }}>
      <Box sx={{ aspectRatio: "3 / 2", bgcolor: look.surround.grey, overflow: "hidden" }}>
        {ready && (
          <Link to={`/views/${view.id}`} aria-label={`Open ${view.name}`}>
            <Box
              component="img"
              src={`/api/views/${view.id}/cover`}
              alt={view.name}
              sx={{ width: "100%", height: "100%", objectFit: "cover", display: "block" }}
            />
          </Link>
        )}
      </Box>
      <Box sx={{ px: 1.5, py: 1, display: "flex", alignItems: "center", gap: 1 }}>
        <Typography variant="h3" sx={{ flexGrow: 1 }}>
          {view.name}
        </Typography>
        <Typography color="text.secondary">
          {view.frames} {view.frames === 1 ? "frame" : "frames"} · {STATE[view.state]}
        </Typography>
        <CardMenu name={view.name} onRename={onRename} onThrow={onThrow} />
      </Box>
    </Box>
  );
}
