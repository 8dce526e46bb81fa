import { Alert, Box, Button, Typography } from "@mui/material";
import { useMutation, useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { data, server } from "../api/client";
import type { CardSheet } from "../api/types";
import { useJobs } from "../api/jobs";
import { useShoot } from "../api/shoots";
import { JobStrip } from "../kit/JobStrip";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { changed, merge, moveFrame, planOf, split, type Planned } from "./plan";
import { TimeLine } from "./TimeLine";
import { ViewRow } from "./ViewRow";

/** From the card to views: frames on a time line, grouped, roles corrected, accepted. */
export function Intake() {
  const { shoot: id = "" } = useParams();
  const path = { shoot: id };
  const go = useNavigate();
  const shoot = useShoot(id);
  const card = useQuery({
    queryKey: ["card", id],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/card", { params: { path } })),
    gcTime: 0,
  });
  // a card that is read again begins anew
  const [edited, setEdited] = useState<{ of: CardSheet; plan: Planned[] }>();
  const fresh = useMemo(() => (card.data ? planOf(card.data) : []), [card.data]);
  const plan = edited && edited.of === card.data ? edited.plan : fresh;
  const setPlan = (to: Planned[]) => card.data && setEdited({ of: card.data, plan: to });
  const [mine, setMine] = useState<string>();
  const jobs = useJobs(id);
  const job =
    jobs.find((j) => j.id === mine) ?? jobs.find((j) => j.kind === "INTAKE" && j.state === "RUNNING");

  useEffect(() => {
    if (job && job.id === mine && job.state === "DONE" && job.problems.length === 0) void go(`/shoots/${id}`);
  }, [job, mine, go, id]);

  const accept = useMutation({
    mutationFn: () =>
      data(
        server.POST("/api/shoots/{shoot}/intake", {
          params: { path },
          body: {
            views: plan
              .filter((v) => v.wanted)
              .map((v) => ({
                name: v.name,
                anchor: v.anchor,
                frames: v.frames.map((f) => ({ name: f.name, role: f.role })),
              })),
          },
        }),
      ),
    onSuccess: (j) => setMine(j.id),
  });

  const wanted = plan.filter((v) => v.wanted);
  const count = wanted.reduce((n, v) => n + v.frames.length, 0);
  const nameless = wanted.some((v) => !v.name.trim());
  const busy = job && (job.state === "RUNNING" || job.state === "WAITING");
  const bar = (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: shoot.data?.views.length ? `/shoots/${id}` : undefined, name: shoot.data?.name ?? "…" },
        { name: "Intake" },
      ]}
    >
      {shoot.data && shoot.data.views.length > 0 && (
        <Button component={Link} to={`/shoots/${id}`}>
          Views
        </Button>
      )}
      <Button onClick={() => void card.refetch()} disabled={card.isFetching}>
        {card.isFetching ? "Reading the card…" : "Read again"}
      </Button>
      <Button
        variant="contained"
        data-once
        disabled={count === 0 || nameless || !!busy || accept.isPending}
        onClick={() => accept.mutate()}
      >
        Take in {count} frames as {wanted.length} {wanted.length === 1 ? "view" : "views"}
      </Button>
    </TopBar>
  );
  return (
    <Page bar={bar}>
      <Said problem={card.error ?? accept.error} />
      {job && <JobStrip job={job} />}
      {card.isPending && <Typography>Reading the card…</Typography>}
      {card.data && <TimeLine views={plan} />}
      {plan.map((v, i) => (
        <ViewRow
          key={v.frames[0]?.name}
          view={v}
          first={i === 0}
          others={plan.map((o, k) => ({ name: o.name, at: k })).filter((o) => o.at !== i)}
          onChange={(to) => setPlan(changed(plan, i, to))}
          onSplit={(frame) => setPlan(split(plan, i, frame))}
          onMerge={() => setPlan(merge(plan, i))}
          onMove={(name, to) => setPlan(moveFrame(plan, i, name, to))}
        />
      ))}
      {card.data && card.data.refused.length > 0 && (
        <Box sx={{ mt: 2 }}>
          <Typography variant="h2">Left on the card</Typography>
          {card.data.refused.map((r) => (
            <Alert key={r.name} severity="warning" sx={{ mt: 0.5 }}>
              {r.reason}
            </Alert>
          ))}
        </Box>
      )}
    </Page>
  );
}
