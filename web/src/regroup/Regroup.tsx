import { Alert, Box, Button, Typography } from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { useMay } from "../account/roles";
import { data, server } from "../api/client";
import { underWay, useJobs } from "../api/jobs";
import type { ViewSheet } from "../api/types";
import { ChosenFrames } from "../arrange/ChosenFrames";
import {
  arrangement,
  changed,
  merge,
  moveFrames,
  planOfViews,
  type Planned,
  split,
  takeOut,
  withRole,
} from "../arrange/plan";
import { ViewRow } from "../arrange/ViewRow";
import { JobStrip } from "../kit/JobStrip";
import { gone, NotThere } from "../kit/NotThere";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { useSelection } from "../kit/selection";

/** The frames of all views after intake: roles, anchors, and which frame belongs to which view. */
export function Regroup() {
  const { shoot: id = "" } = useParams();
  const queries = useQueryClient();
  const may = useMay();
  const sheets = useQuery({
    queryKey: ["shoot", id, "frames"],
    queryFn: () => data(server.GET("/api/shoots/{id}/frames", { params: { path: { id } } })),
    retry: false,
  });
  const [edited, setEdited] = useState<{ of: ViewSheet[]; plan: Planned[] }>();
  const views = sheets.data ?? [];
  // what others change meanwhile does not take away what is being arranged here
  const of = edited?.of ?? views;
  const plan = edited?.plan ?? planOfViews(views);
  const setPlan = (to: Planned[]) => setEdited({ of, plan: to });
  const selection = useSelection(plan.flatMap((v) => v.frames).map((f) => f.id));
  const wanted = arrangement(plan, of);
  const anything = wanted.views.length > 0 || wanted.bin.length > 0;
  const jobs = useJobs(id);
  const busy = jobs.find(underWay);
  const apply = useMutation({
    mutationFn: () => data(server.PUT("/api/shoots/{id}/frames", { params: { path: { id } }, body: wanted })),
    onSuccess: async () => {
      selection.clear();
      await queries.invalidateQueries({ queryKey: ["shoot", id] });
      setEdited(undefined);
    },
  });
  const name = views[0]?.shootName ?? "…";
  if (!may.takeIn) return <NotThere said="Editors arrange no frames; a photographer or an owner does." />;
  if (gone(sheets.error)) return <NotThere said={sheets.error.message} />;
  return (
    <Page
      bar={
        <TopBar
          crumbs={[{ to: "/shoots", name: "Shoots" }, { to: `/shoots/${id}`, name }, { name: "Frames" }]}
        >
          <Button
            onClick={() => {
              setEdited(undefined);
              void sheets.refetch();
            }}
            disabled={!edited}
          >
            As it was
          </Button>
          <Button
            variant="contained"
            data-once
            disabled={!anything || !!busy || apply.isPending || plan.some((v) => !v.name.trim())}
            onClick={() => apply.mutate()}
          >
            {anything ? `Arrange ${plural(wanted.views.length, "view")} so` : "Nothing to arrange"}
          </Button>
        </TopBar>
      }
      foot={
        <ChosenFrames
          plan={plan}
          selection={selection}
          onMove={(to) => setPlan(moveFrames(plan, selection.chosen, to))}
          onRole={(to) => setPlan(withRole(plan, selection.chosen, to))}
          onAway={() => setPlan(takeOut(plan, selection.chosen))}
        />
      }
    >
      <Said problem={sheets.error ?? apply.error} />
      {busy && <JobStrip job={busy} />}
      {apply.data && apply.data.lost.length > 0 && (
        <Alert severity="warning" sx={{ mb: 1 }}>
          Recipes were kept, but for this:
          {apply.data.lost.map((l) => (
            <Box key={l}>{l}</Box>
          ))}
        </Alert>
      )}
      <Typography color="text.secondary">
        Recipes stay. Views whose frames, roles or anchor change are lined up anew; what needs a frame that
        has gone is switched off and named. Further frames come in by{" "}
        <Link to={`/shoots/${id}/intake`}>Intake</Link>.
      </Typography>
      {plan.map((v, i) => (
        <ViewRow
          key={v.view ?? v.frames[0]?.id}
          view={v}
          thumb={(f) => `/api/frames/${f.id}/thumb`}
          selection={selection}
          said={v.view ? "" : " · new"}
          onChange={(to) => setPlan(changed(plan, i, to))}
          onSplit={(frame) => setPlan(split(plan, i, frame))}
          onMerge={i > 0 ? () => setPlan(merge(plan, i)) : undefined}
        />
      ))}
      {sheets.isSuccess && plan.length === 0 && wanted.bin.length === 0 && (
        <Typography sx={{ mt: 2 }}>
          No frames yet. <Link to={`/shoots/${id}/intake`}>Add frames</Link> to begin.
        </Typography>
      )}
      {wanted.bin.length > 0 && (
        <Alert severity="info" sx={{ mt: 1.5 }}>
          {plural(wanted.bin.length, "frame")} to the bin, for 30 days.
        </Alert>
      )}
    </Page>
  );
}

const plural = (n: number, what: string) => `${n} ${what}${n === 1 ? "" : "s"}`;
