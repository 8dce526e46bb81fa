import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { Box, Button, Typography } from "@mui/material";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate, useParams } from "react-router";
import { useMay } from "../account/roles";
import { data, server } from "../api/client";
import { underWay, useJobs } from "../api/jobs";
import { useShoot } from "../api/shoots";
import { useBin } from "../bin/useBin";
import { Chosen } from "../kit/Chosen";
import { JobStrip } from "../kit/JobStrip";
import { lastOf, useDesk } from "../delivery/useDesk";
import { gone, NotThere } from "../kit/NotThere";
import { Page, TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { useSelection } from "../kit/selection";
import { useFlight } from "../preflight/useFlight";
import { look } from "../theme";
import { LastStep } from "./LastStep";
import { Contact } from "./Contact";
import { shifted } from "./order";
import { ShownBar } from "./ShownBar";
import { shownViews, useShown } from "./shown";
import { useJudged } from "./useJudged";
import { walk } from "./walk";
import { linedUp } from "./states";

/** The views of a shoot side by side, in the order of their delivery. */
export function Contacts() {
  const { shoot: id = "" } = useParams();
  const path = { params: { path: { id } } };
  const shoot = useShoot(id);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const jobs = useJobs(id);
  const bin = useBin();
  const may = useMay();
  const running = jobs.filter(underWay);
  const views = shoot.data?.views ?? [];
  const ids = views.map((v) => v.id);
  const [shown, setShown] = useShown();
  const flight = useFlight(id, shown.only === "remarks");
  const remarked = flight.data?.views.filter((v) => v.remarks.some((r) => !r.word)).map((v) => v.view) ?? [];
  const here = shownViews(views, shown, remarked);
  const selection = useSelection(here.map((v) => v.id));
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const order = useMutation({
    mutationFn: (to: string[]) =>
      data(server.PUT("/api/shoots/{id}/order", { ...path, body: { views: to } })),
    onMutate: (to) =>
      queries.setQueryData<typeof shoot.data>(["shoot", id], (s) => {
        if (!s) return s;
        return { ...s, views: [...s.views].sort((a, b) => to.indexOf(a.id) - to.indexOf(b.id)) };
      }),
    onSettled: () => queries.invalidateQueries({ queryKey: ["shoot", id] }),
  });
  const again = useMutation({
    mutationFn: ({ view, read }: { view: string; read: boolean }) => {
      const at = { params: { path: { id: view } } };
      return data(
        read ? server.POST("/api/views/{id}/read-again", at) : server.POST("/api/views/{id}/line-up", at),
      );
    },
    onSettled: () => queries.invalidateQueries({ queryKey: ["shoot", id] }),
  });
  const desk = useDesk(id);
  const judged = useJudged(views);
  const shift = (moved: string[], by: number) => {
    const to = shifted(ids, moved, by);
    if (to.some((v, i) => v !== ids[i])) order.mutate(to);
  };
  const throwAll = (all: string[]) =>
    bin.throwAll(
      views.filter((v) => all.includes(v.id)).map((v) => ({ id: v.id, kind: "VIEW", name: v.name })),
    );
  const bar = (
    <TopBar crumbs={[{ to: "/shoots", name: "Shoots" }, { name: shoot.data?.name ?? "…" }]}>
      {may.takeIn && (
        <>
          <Button component={Link} to={`/shoots/${id}/intake`}>
            Intake
          </Button>
          <Button component={Link} to={`/shoots/${id}/frames`}>
            Frames
          </Button>
        </>
      )}
      <Button component={Link} to={`/shoots/${id}/surfaces`} disabled={views.length < 2}>
        Surfaces
      </Button>
      <Button component={Link} to={`/shoots/${id}/cover`} disabled={!views.some(linedUp)}>
        Cover
      </Button>
      <Button component={Link} to={`/shoots/${id}/pre-flight`} disabled={views.length === 0}>
        Pre-flight
      </Button>
      <Button
        component={Link}
        to={`/shoots/${id}/delivery`}
        variant="contained"
        disabled={views.length === 0}
      >
        Deliver
      </Button>
    </TopBar>
  );
  if (gone(shoot.error)) return <NotThere said={shoot.error.message} />;
  return (
    <Page
      bar={bar}
      foot={
        <Chosen selection={selection} what="view">
          <Button onClick={() => shift(selection.chosen, -1)}>Move forward</Button>
          <Button onClick={() => shift(selection.chosen, 1)}>Move back</Button>
          {selection.chosen.length === 2 && (
            <Button
              component={Link}
              to={`/views/${selection.chosen[0]}/compare?${new URLSearchParams({ a: "now", b: `view ${selection.chosen[1]}` }).toString()}`}
            >
              Compare the two
            </Button>
          )}
          {may.runStudio && (
            <Button component={Link} to={`/house-style?from=${selection.chosen.join(",")}`}>
              Learn the house style
            </Button>
          )}
          <Button onClick={() => judged.ready(selection.chosen)}>Mark as ready</Button>
          <Button onClick={() => judged.rest(selection.chosen)}>Let them rest …</Button>
          {may.remove && <Button onClick={() => throwAll(selection.chosen)}>Move to the bin</Button>}
        </Chosen>
      }
    >
      <Said problem={shoot.error ?? bin.problem ?? order.error ?? again.error ?? judged.problem} />
      <LastStep shoot={id} />
      {running.map((j) => (
        <JobStrip key={j.id} job={j} />
      ))}
      {views.length > 1 && <ShownBar shown={shown} hidden={views.length - here.length} onShown={setShown} />}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          // places are those of delivery
          if (shown.sort !== "delivery") return;
          const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over?.id))];
          if (from >= 0 && to >= 0 && from !== to) shift([String(active.id)], to - from);
        }}
      >
        <Box
          onKeyDown={walk}
          sx={{
            display: "grid",
            gridTemplateColumns: `repeat(auto-fill, minmax(${shown.size}px, 1fr))`,
            gap: 2.5,
            bgcolor: look.paper,
          }}
        >
          {here.map((v) => (
            <Contact
              key={v.id}
              view={v}
              desk={lastOf(desk.data?.answers ?? [], v.id)}
              chosen={selection.has(v.id)}
              onPress={(by) => selection.press(v.id, by)}
              onRename={(name) => bin.rename({ id: v.id, kind: "VIEW", name })}
              onThrow={may.remove ? () => throwAll([v.id]) : undefined}
              more={[
                ...(linedUp(v)
                  ? [{ name: "Compare …", act: () => void navigate(`/views/${v.id}/compare`) }]
                  : []),
                ...(linedUp(v) && views.length > 1
                  ? [{ name: "Carry over …", act: () => void navigate(`/views/${v.id}/carry`) }]
                  : []),
                { name: v.note ? "Change the note …" : "Add a note …", act: () => judged.note(v.id) },
                ...(linedUp(v) && v.state !== "READY"
                  ? [{ name: "Mark as ready", act: () => judged.ready([v.id]) }]
                  : []),
                ...(linedUp(v) ? [{ name: "Let it rest …", act: () => judged.rest([v.id]) }] : []),
                ...(v.state === "READY" || v.state === "RESTING"
                  ? [{ name: "Needs work", act: () => judged.work([v.id]) }]
                  : []),
                ...(v.id !== ids[0] ? [{ name: "Move forward", act: () => shift([v.id], -1) }] : []),
                ...(v.id !== ids.at(-1) ? [{ name: "Move back", act: () => shift([v.id], 1) }] : []),
                ...(may.takeIn && running.length === 0
                  ? [
                      { name: "Line up again", act: () => again.mutate({ view: v.id, read: false }) },
                      { name: "Read the files again", act: () => again.mutate({ view: v.id, read: true }) },
                    ]
                  : []),
              ]}
            />
          ))}
        </Box>
      </DndContext>
      {shoot.data && views.length === 0 && running.length === 0 && (
        <Typography>
          No views yet. <Link to={`/shoots/${id}/intake`}>Add frames</Link> to begin.
        </Typography>
      )}
      {bin.note}
      {judged.dialogs}
    </Page>
  );
}
