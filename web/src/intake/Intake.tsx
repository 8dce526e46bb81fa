import {
  Alert,
  Box,
  Button,
  Checkbox,
  MenuItem,
  Select,
  TextField,
  Tooltip,
  Typography,
} from "@mui/material";
import { useMutation, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { ask, type CardFrame, type CardSheet, type Job, type Role, type Shoot } from "../api/client";
import { useJobs } from "../api/jobs";
import { JobStrip } from "../kit/JobStrip";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { look } from "../theme";
import { ROLE, shutter } from "./words";
import { TimeLine } from "./TimeLine";

/** A view as it will be taken in; the photographer may change everything about it. */
export interface Planned {
  name: string;
  anchor: string;
  wanted: boolean;
  frames: CardFrame[];
}

/** From the card to views: frames on a time line, grouped, roles corrected, accepted. */
export function Intake() {
  const { shoot: id } = useParams();
  const go = useNavigate();
  const shoot = useQuery({ queryKey: ["shoot", id], queryFn: () => ask<Shoot>(`/api/shoots/${id}`) });
  const card = useQuery({
    queryKey: ["card", id],
    queryFn: () => ask<CardSheet>(`/api/shoots/${id}/card`),
    gcTime: 0,
  });
  const [plan, setPlan] = useState<Planned[]>([]);
  const [mine, setMine] = useState<string>();
  const jobs = useJobs(id);
  const job =
    jobs.find((j) => j.id === mine) ?? jobs.find((j) => j.kind === "INTAKE" && j.state === "RUNNING");

  useEffect(() => {
    if (card.data)
      setPlan(
        card.data.views.map((v) => ({ ...v, wanted: v.frames.some((f) => !f.known), frames: v.frames })),
      );
  }, [card.data]);
  useEffect(() => {
    if (job && job.id === mine && job.state === "DONE" && job.problems.length === 0) void go(`/shoots/${id}`);
  }, [job, mine, go, id]);

  const accept = useMutation({
    mutationFn: () =>
      ask<Job>(`/api/shoots/${id}/intake`, {
        method: "POST",
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
    onSuccess: (j) => setMine(j.id),
  });

  const change = (at: number, to: Partial<Planned>) =>
    setPlan((p) => p.map((v, i) => (i === at ? { ...v, ...to } : v)));
  const split = (at: number, frame: number) =>
    setPlan((p) => {
      const v = p[at];
      const [a, b] = [v.frames.slice(0, frame), v.frames.slice(frame)];
      const part = (frames: CardFrame[], name: string): Planned => ({
        ...v,
        name,
        frames,
        anchor: anchorOf(frames, v.anchor),
      });
      return [...p.slice(0, at), part(a, v.name), part(b, `${v.name} b`), ...p.slice(at + 1)];
    });
  const merge = (at: number) =>
    setPlan((p) => [
      ...p.slice(0, at - 1),
      { ...p[at - 1], frames: [...p[at - 1].frames, ...p[at].frames] },
      ...p.slice(at + 1),
    ]);
  const move = (from: number, name: string, to: number) =>
    setPlan((p) => {
      const frame = p[from].frames.find((f) => f.name === name)!;
      return p
        .map((v, i) => {
          if (i === to) return { ...v, frames: [...v.frames, frame] };
          if (i !== from) return v;
          const frames = v.frames.filter((f) => f.name !== name);
          return { ...v, frames, anchor: anchorOf(frames, v.anchor) };
        })
        .filter((v) => v.frames.length > 0);
    });

  const wanted = plan.filter((v) => v.wanted);
  const count = wanted.reduce((n, v) => n + v.frames.length, 0);
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
      <Button variant="contained" disabled={count === 0 || !!busy} onClick={() => accept.mutate()}>
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
          key={v.frames[0].name}
          view={v}
          first={i === 0}
          others={plan.map((o, k) => ({ name: o.name, at: k })).filter((o) => o.at !== i)}
          onChange={(to) => change(i, to)}
          onSplit={(frame) => split(i, frame)}
          onMerge={() => merge(i)}
          onMove={(name, to) => move(i, name, to)}
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

function anchorOf(frames: CardFrame[], before: string): string {
  if (frames.some((f) => f.name === before)) return before;
  const ambient = frames.filter((f) => f.role === "AMBIENT");
  return (ambient[Math.floor(ambient.length / 2)] ?? frames[0])?.name ?? "";
}

interface RowProps {
  view: Planned;
  first: boolean;
  others: { name: string; at: number }[];
  onChange: (to: Partial<Planned>) => void;
  onSplit: (frame: number) => void;
  onMerge: () => void;
  onMove: (name: string, to: number) => void;
}

function ViewRow({ view, first, others, onChange, onSplit, onMerge, onMove }: RowProps) {
  const known = view.frames.every((f) => f.known);
  const quiet = known && !view.wanted;
  const base = view.frames.find((f) => f.name === view.anchor)?.stops ?? 0;
  return (
    <Box
      component="section"
      aria-label={view.name}
      sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper", mt: 1.5, p: 1.5 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: quiet ? 0 : 1 }}>
        <Checkbox
          checked={view.wanted}
          onChange={(e) => onChange({ wanted: e.target.checked })}
          slotProps={{ input: { "aria-label": `Take in ${view.name}` } }}
        />
        <TextField
          size="small"
          value={view.name}
          onChange={(e) => onChange({ name: e.target.value })}
          slotProps={{ htmlInput: { "aria-label": "Name of the view" } }}
          sx={{ width: 240 }}
        />
        <Typography color="text.secondary" sx={{ flexGrow: 1 }}>
          {view.frames.length} {view.frames.length === 1 ? "frame" : "frames"}, {view.frames[0].width}×
          {view.frames[0].height}
          {known ? " · already taken in" : ""}
        </Typography>
        {quiet &&
          view.frames.map((f) => (
            <Box
              key={f.name}
              component="img"
              src={`/api/card/${f.name}/thumb`}
              alt={f.name}
              data-testid="card-frame"
              sx={{ width: 54, display: "block" }}
            />
          ))}
        {!first && !quiet && <Button onClick={onMerge}>Merge with the view above</Button>}
      </Box>
      <Box sx={{ display: quiet ? "none" : "flex", gap: 1, flexWrap: "wrap" }}>
        {(quiet ? [] : view.frames).map((f, i) => (
          <Box key={f.name} sx={{ width: 138 }} data-testid="card-frame">
            <Box
              sx={{
                position: "relative",
                border: f.name === view.anchor ? `2px solid ${look.ink}` : `2px solid transparent`,
              }}
            >
              <Box
                component="img"
                src={`/api/card/${f.name}/thumb`}
                alt={f.name}
                sx={{ width: "100%", display: "block" }}
              />
              {f.name === view.anchor && (
                <Box
                  sx={{
                    position: "absolute",
                    left: 4,
                    top: 4,
                    width: 9,
                    height: 9,
                    bgcolor: look.white,
                    border: `1px solid ${look.ink}`,
                  }}
                />
              )}
            </Box>
            <Typography variant="body2" noWrap title={f.name}>
              {f.name}
            </Typography>
            <Typography variant="caption" component="div" color={f.stops === undefined ? "error" : undefined}>
              {f.stops === undefined
                ? "no exposure tags"
                : `${step(f.stops - base)} st · ${shutter(f.seconds ?? 0)} s f/${f.aperture}`}
            </Typography>
            <Select
              size="small"
              fullWidth
              value={f.role}
              onChange={(e) =>
                onChange({
                  frames: view.frames.map((o) => (o === f ? { ...o, role: e.target.value as Role } : o)),
                })
              }
              inputProps={{ "aria-label": `Role of ${f.name}` }}
              sx={{ mt: 0.25, fontSize: 12 }}
            >
              {(Object.keys(ROLE) as Role[]).map((r) => (
                <MenuItem key={r} value={r}>
                  {ROLE[r]}
                </MenuItem>
              ))}
            </Select>
            <Box sx={{ display: "flex", gap: 0.5, mt: 0.5 }}>
              <Tooltip title="This frame gives geometry; the others are lined up to it">
                <span>
                  <Button
                    sx={{ fontSize: 11, px: 0.75 }}
                    disabled={f.name === view.anchor}
                    onClick={() => onChange({ anchor: f.name })}
                  >
                    Anchor
                  </Button>
                </span>
              </Tooltip>
              {i > 0 && (
                <Button sx={{ fontSize: 11, px: 0.75 }} onClick={() => onSplit(i)}>
                  Split here
                </Button>
              )}
            </Box>
            {others.length > 0 && (
              <Select
                size="small"
                displayEmpty
                fullWidth
                value=""
                sx={{ mt: 0.5, fontSize: 11 }}
                inputProps={{ "aria-label": `Move ${f.name} to another view` }}
                renderValue={() => "Move to…"}
                onChange={(e) => onMove(f.name, Number(e.target.value))}
              >
                {others.map((o) => (
                  <MenuItem key={o.at} value={String(o.at)}>
                    {o.name}
                  </MenuItem>
                ))}
              </Select>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function step(stops: number): string {
  const r = Math.round(stops * 10) / 10;
  return (r > 0 ? "+" : r < 0 ? "−" : "") + Math.abs(r).toFixed(Number.isInteger(r) ? 0 : 1);
}
