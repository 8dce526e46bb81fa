import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { data, server } from "../api/client";
import { underWay, useJobs } from "../api/jobs";
import { useShoot } from "../api/shoots";
import type { SurfaceTable } from "../api/types";
import { LastStep } from "../contacts/LastStep";
import { JobStrip } from "../kit/JobStrip";
import { gone, NotThere } from "../kit/NotThere";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { Table } from "./Table";

/** One house, one colour: surfaces that several views show, read in all of them and levelled. */
export function Surfaces() {
  const { shoot: id = "" } = useParams();
  const path = { shoot: id };
  const shoot = useShoot(id);
  const queries = useQueryClient();
  const [reference, setReference] = useState("");
  const table = useQuery({
    queryKey: ["surfaces", id],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/surfaces", { params: { path } })),
    staleTime: 0,
  });
  const wish = useMutation({
    mutationFn: (what: { find: boolean; level: boolean }) =>
      data(
        server.POST("/api/shoots/{shoot}/surfaces", {
          params: { path },
          body: { ...what, reference },
        }),
      ),
  });
  const jobs = useJobs(id).filter((j) => j.kind === "LEVEL_SET" || j.kind === "COVERS");
  const running = jobs.some(underWay);
  const step = jobs.map((j) => `${j.id} ${j.state} ${j.done}`).join();
  useEffect(() => {
    void queries.invalidateQueries({ queryKey: ["surfaces", id] });
    void queries.invalidateQueries({ queryKey: ["steps", id] });
  }, [step, id, queries]);
  const busy = running || wish.isPending;
  const shared = table.data?.surfaces.some((s) => s.common) ?? false;
  const bar = (
    <TopBar
      crumbs={[
        { to: "/shoots", name: "Shoots" },
        { to: `/shoots/${id}`, name: shoot.data?.name ?? "…" },
        { name: "One house, one colour" },
      ]}
    >
      <Button data-once disabled={busy} onClick={() => wish.mutate({ find: true, level: false })}>
        Find white walls
      </Button>
      <Button data-once disabled={busy} onClick={() => wish.mutate({ find: false, level: false })}>
        Read the surfaces
      </Button>
      <Button
        data-once
        variant="contained"
        disabled={busy || !shared}
        onClick={() => wish.mutate({ find: false, level: true })}
      >
        Level the set
      </Button>
    </TopBar>
  );
  if (gone(shoot.error)) return <NotThere said={shoot.error.message} />;
  return (
    <Page bar={bar}>
      <Said problem={table.error ?? wish.error} />
      <LastStep shoot={id} />
      {jobs.filter(underWay).map((j) => (
        <JobStrip key={j.id} job={j} />
      ))}
      {table.data && (
        <>
          <Box sx={{ display: "flex", gap: 2, alignItems: "center", mb: 1.5 }}>
            <Typography role="status" sx={{ flexGrow: 1 }}>
              {summary(table.data)}
            </Typography>
            <TextField
              select
              size="small"
              label="Level towards"
              value={reference}
              onChange={(e) => setReference(e.target.value)}
              slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              sx={{ width: 240 }}
            >
              <MenuItem value="">the mean of all views</MenuItem>
              {table.data.views.map((v) => (
                <MenuItem key={v.view} value={v.view}>
                  {v.name}, which stays
                </MenuItem>
              ))}
            </TextField>
          </Box>
          <Table table={table.data} />
          <Typography color="text.secondary" sx={{ mt: 1.5 }}>
            A surface is a group of probes with one name on the balance board of a view. The same name in
            another view is the same surface. Open a view under{" "}
            {table.data.views.map((v, i) => (
              <span key={v.view}>
                {i > 0 && ", "}
                <Link to={`/views/${v.view}?stage=Balance`} style={{ color: "inherit" }}>
                  {v.name}
                </Link>
              </span>
            ))}{" "}
            to pin, name or move them.
          </Typography>
        </>
      )}
    </Page>
  );
}

/** How far the set agrees, in a sentence. */
function summary({ surfaces, views }: SurfaceTable): string {
  const shared = surfaces.filter((s) => s.common);
  if (views.some((v) => !v.read)) return "Some views have changed since their surfaces were read.";
  if (shared.length === 0) return "No surface has the same name in two views yet.";
  const most = Math.max(...shared.flatMap((s) => s.cells.map((c) => c.apart)));
  return `Shared surfaces lie within ΔE ${most.toFixed(1)} of their common colour.`;
}
