import { Alert, Box, Button, Checkbox, MenuItem, Select, Typography } from "@mui/material";
import { useMutation, useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { useMay } from "../account/roles";
import { data, server } from "../api/client";
import type { WaitingSheet } from "../api/types";
import { useJobs } from "../api/jobs";
import { useShoot } from "../api/shoots";
import { JobStrip } from "../kit/JobStrip";
import { NotThere } from "../kit/NotThere";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";
import { DropPlace } from "../upload/DropPlace";
import { add } from "../upload/queue";
import { Uploads } from "../upload/Uploads";
import { useArrivals } from "../upload/useArrivals";
import { ChosenFrames } from "../arrange/ChosenFrames";
import {
  type Arranged,
  changed,
  merge,
  moveFrames,
  planOf,
  type Planned,
  reconciled,
  split,
  withRole,
} from "../arrange/plan";
import { ViewRow } from "../arrange/ViewRow";
import { useSelection } from "../kit/selection";
import { TimeLine } from "./TimeLine";

/** From files to views: frames on a time line, grouped, roles corrected, accepted. */
export function Intake() {
  const { shoot: id = "" } = useParams();
  const path = { shoot: id };
  const go = useNavigate();
  const shoot = useShoot(id);
  const may = useMay();
  const waiting = useQuery({
    queryKey: ["waiting", id],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/waiting", { params: { path } })),
    gcTime: 0,
  });
  const sheet = waiting.data;
  const [edited, setEdited] = useState<{ of: WaitingSheet; plan: Planned[] }>();
  const plan = useMemo(() => {
    if (!sheet) return [];
    if (!edited) return planOf(sheet);
    return edited.of === sheet ? edited.plan : reconciled(edited.plan, sheet);
  }, [sheet, edited]);
  const setPlan = (to: Planned[]) => sheet && setEdited({ of: sheet, plan: to });
  useArrivals(id, () => void waiting.refetch());
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
                into: v.into,
                name: v.name,
                anchor: v.anchor,
                frames: v.frames.map((f) => ({ id: f.id, role: f.role })),
              })),
          },
        }),
      ),
    onSuccess: (j) => setMine(j.id),
  });

  const away = useMutation({
    mutationFn: (name: string) =>
      data(server.DELETE("/api/shoots/{shoot}/arrivals/{name}", { params: { path: { shoot: id, name } } })),
    onSettled: () => void waiting.refetch(),
  });

  const selection = useSelection(plan.flatMap((v) => v.frames).map((f) => f.id));
  const wanted = plan.filter((v) => v.wanted);
  const count = wanted.reduce((n, v) => n + v.frames.length, 0);
  const nameless = wanted.some((v) => !v.into && !v.name.trim());
  const fresh = wanted.filter((v) => !v.into).length;
  const busy = job && (job.state === "RUNNING" || job.state === "WAITING");
  const bar = (choose: () => void) => (
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
      <Button onClick={choose}>Add files</Button>
      <Button
        onClick={() => {
          setEdited(undefined);
          void waiting.refetch();
        }}
        disabled={waiting.isFetching}
      >
        {waiting.isFetching ? "Reading…" : "Read again"}
      </Button>
      <Button
        variant="contained"
        data-once
        disabled={count === 0 || nameless || !!busy || accept.isPending}
        onClick={() => accept.mutate()}
      >
        {fresh === wanted.length
          ? `Take in ${count} frames as ${fresh} ${fresh === 1 ? "view" : "views"}`
          : `Take in ${count} frames`}
      </Button>
    </TopBar>
  );
  const thumb = (f: Arranged) => {
    const [source, name] = [f.id.slice(0, f.id.indexOf("/")), f.id.slice(f.id.indexOf("/") + 1)];
    return `/api/shoots/${id}/waiting/${source}/${encodeURIComponent(name)}/thumb`;
  };
  if (!may.takeIn) return <NotThere said="Editors take no frames in; a photographer or an owner does." />;
  return (
    <DropPlace says="Drop frames to send them to this shoot" onFiles={(files) => void add(id, files)}>
      {(choose) => (
        <Page
          bar={bar(choose)}
          foot={
            <ChosenFrames
              plan={plan}
              selection={selection}
              onMove={(to) => setPlan(moveFrames(plan, selection.chosen, to))}
              onRole={(to) => setPlan(withRole(plan, selection.chosen, to))}
            />
          }
        >
          <Said problem={waiting.error ?? accept.error ?? away.error} />
          <Uploads shoot={id} />
          {job && <JobStrip job={job} />}
          {waiting.isPending && <Typography>Reading what waits…</Typography>}
          {sheet && plan.length === 0 && <Nothing choose={choose} />}
          {sheet && plan.length > 0 && <TimeLine views={plan} />}
          {plan.map((v, i) => {
            const known = v.frames.every((f) => f.known);
            const change = (to: Partial<Planned>) => setPlan(changed(plan, i, to));
            return (
              <ViewRow
                key={v.frames[0]?.id}
                view={v}
                thumb={thumb}
                selection={selection}
                lead={
                  <Checkbox
                    checked={v.wanted}
                    onChange={(e) => change({ wanted: e.target.checked })}
                    slotProps={{ input: { "aria-label": `Take in ${v.name}` } }}
                  />
                }
                said={known ? " · already taken in" : ""}
                quiet={known && !v.wanted}
                onChange={change}
                onSplit={(frame) => setPlan(split(plan, i, frame))}
                onMerge={i > 0 ? () => setPlan(merge(plan, i)) : undefined}
              >
                {v.wanted && !!shoot.data?.views.length && (
                  <Select
                    size="small"
                    displayEmpty
                    value={v.into ?? ""}
                    inputProps={{ "aria-label": `Where ${v.name} goes` }}
                    onChange={(e) => change({ into: e.target.value || undefined })}
                  >
                    <MenuItem value="">A new view</MenuItem>
                    {shoot.data.views.map((o) => (
                      <MenuItem key={o.id} value={o.id}>
                        Into {o.name}
                      </MenuItem>
                    ))}
                  </Select>
                )}
              </ViewRow>
            );
          })}
          {sheet && sheet.refused.length > 0 && (
            <Box sx={{ mt: 2 }}>
              <Typography variant="h2">Not to be taken in</Typography>
              {sheet.refused.map((r) => (
                <Alert
                  key={`${r.source}/${r.name}`}
                  severity="warning"
                  sx={{ mt: 0.5 }}
                  action={
                    r.source === "sent" && <Button onClick={() => away.mutate(r.name)}>Throw away</Button>
                  }
                >
                  {r.reason}
                </Alert>
              ))}
            </Box>
          )}
        </Page>
      )}
    </DropPlace>
  );
}

/** What stands here before anything waits. */
function Nothing({ choose }: { choose: () => void }) {
  return (
    <Box sx={{ border: `1px dashed ${look.strong}`, p: 5, textAlign: "center" }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        Nothing waits to be taken in
      </Typography>
      <Typography color="text.secondary" sx={{ mb: 2 }}>
        Drop the frames of this shoot anywhere on this page, one by one or as folders. JPEG, PNG, TIFF and raw
        files.
      </Typography>
      <Button variant="contained" onClick={choose}>
        Add files
      </Button>
    </Box>
  );
}
