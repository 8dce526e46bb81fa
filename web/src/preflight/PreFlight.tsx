import { Box, Button, Typography } from "@mui/material";
import { useEffect } from "react";
import { Link, useParams } from "react-router";
import { underWay, useJobs } from "../api/jobs";
import { useShoot } from "../api/shoots";
import type { ViewRemarks } from "../api/types";
import { count } from "../bench/words";
import { JobStrip } from "../kit/JobStrip";
import { gone, NotThere } from "../kit/NotThere";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { Sheet } from "../kit/Sheet";
import { Remark } from "./Remark";
import { useFlight, useFlightChange } from "./useFlight";

/** The check of a whole shoot before delivery. */
export function PreFlight() {
  const { shoot: id = "" } = useParams();
  const shoot = useShoot(id);
  const flight = useFlight(id);
  const change = useFlightChange(id);
  const { look, again } = change;
  const jobs = useJobs(id).filter((j) => j.kind === "PRE_FLIGHT");
  const running = jobs.some(underWay);
  // what was found is read when the job moves on
  const step = jobs[0] && `${jobs[0].id} ${jobs[0].state} ${jobs[0].done}`;
  useEffect(() => {
    if (step) void again();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only when the job has moved
  }, [step]);
  const views = flight.data?.views ?? [];
  const old = views.filter((v) => !v.now).length;
  const open = views.flatMap((v) => v.remarks).filter((r) => !r.word).length;
  const bar = (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: `/shoots/${id}`, name: shoot.data?.name ?? "…" },
        { name: "Pre-flight" },
      ]}
    >
      <Button
        variant={old > 0 ? "contained" : "outlined"}
        data-once
        disabled={running || look.isPending || views.length === 0}
        onClick={() => look.mutate()}
      >
        {old === 0 ? "Look over again" : `Look over ${count(old, "view", "views")}`}
      </Button>
      <Button component={Link} to={`/shoots/${id}/delivery`} variant={old > 0 ? "outlined" : "contained"}>
        Deliver
      </Button>
    </TopBar>
  );
  if (gone(shoot.error)) return <NotThere said={shoot.error.message} />;
  return (
    <Page bar={bar}>
      <Said problem={flight.error ?? look.error ?? change.accept.error ?? change.stand.error} />
      {jobs
        .filter((j, i) => i === 0 || underWay(j))
        .map((j) => (
          <JobStrip key={j.id} job={j} />
        ))}
      <Box sx={{ display: "grid", gap: 2.5 }}>
        {flight.data && (
          <Typography role="status">
            {open === 0 && old === 0 && flight.data.said.length === 0
              ? "Nothing stands in the way of delivery."
              : `${count(open, "remark stands", "remarks stand")}${old > 0 ? `; ${count(old, "view has", "views have")} not been looked over as ${old === 1 ? "it is" : "they are"} now` : ""}.`}
          </Typography>
        )}
        {flight.data && flight.data.said.length > 0 && (
          <Sheet title="The whole shoot">
            {flight.data.said.map((s) => (
              <Typography key={s}>{s}</Typography>
            ))}
          </Sheet>
        )}
        {views.map((v) => (
          <OneView key={v.view} view={v} change={change} />
        ))}
      </Box>
    </Page>
  );
}

/** A view beside what there is to it. */
function OneView({ view, change }: { view: ViewRemarks; change: ReturnType<typeof useFlightChange> }) {
  return (
    <Box
      component="section"
      aria-label={view.name}
      sx={{
        display: "grid",
        gridTemplateColumns: "210px 1fr",
        gap: 2,
        border: 1,
        borderColor: "divider",
        bgcolor: "background.paper",
      }}
    >
      <Link to={`/views/${view.view}`} aria-label={`Open ${view.name}`}>
        <Box
          component="img"
          src={`/api/views/${view.view}/cover`}
          alt=""
          sx={{ width: "100%", aspectRatio: "3/2", objectFit: "cover", display: "block" }}
        />
      </Link>
      <Box sx={{ py: 1, pr: 1.5, display: "grid", gap: 0.5, alignContent: "start" }}>
        <Box sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
          <Typography variant="h2">{view.name}</Typography>
          {!view.now && (
            <Typography color="text.secondary">
              {view.remarks.length > 0 ? "changed since it was looked over" : "not looked over yet"}
            </Typography>
          )}
        </Box>
        {view.now && view.remarks.length === 0 && (
          <Typography color="text.secondary">Nothing to remark.</Typography>
        )}
        {view.remarks.map((r) => (
          <Remark key={`${r.concern} ${r.pass}`} view={view.view} remark={r} change={change} />
        ))}
      </Box>
    </Box>
  );
}
