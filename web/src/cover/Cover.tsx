import { Box, Button, Typography } from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useParams, useSearchParams } from "react-router";
import { data, server } from "../api/client";
import { useShoot } from "../api/shoots";
import type { CoverPage } from "../api/types";
import { Choice } from "../kit/Choice";
import { gone, NotThere } from "../kit/NotThere";
import { TopBar } from "../kit/Page";
import { Said } from "../kit/Said";
import { Panel } from "./Panel";
import { begun } from "./page";
import { Stage } from "./Stage";
import { useDrawn } from "./useDrawn";
import { linedUp } from "../contacts/states";

const EDGE = 1200;
const FILES = ["PNG", "JPEG", "PDF"];

/** Covers of a shoot: pages with lettering over a picture. */
export function Cover() {
  const { shoot: id = "" } = useParams();
  const path = { shoot: id };
  const [asked, setAsked] = useSearchParams();
  const queries = useQueryClient();
  const shoot = useShoot(id);
  const key = ["covers", id];
  const covers = useQuery({
    queryKey: key,
    queryFn: () => data(server.GET("/api/shoots/{shoot}/cover-pages", { params: { path } })),
    staleTime: 0,
  });
  const typefaces = useQuery({ queryKey: ["typefaces"], queryFn: () => data(server.GET("/api/typefaces")) });
  const controls = useQuery({
    queryKey: ["cover controls"],
    queryFn: () => data(server.GET("/api/cover-controls")),
  });
  const views = shoot.data?.views.filter(linedUp) ?? [];
  const fresh = () => queries.invalidateQueries({ queryKey: key });
  const make = useMutation({
    mutationFn: () =>
      data(
        server.POST("/api/shoots/{shoot}/cover-pages", {
          params: { path },
          body: begun(views[0]?.id ?? "", shoot.data?.name ?? ""),
        }),
      ),
    onSuccess: async (made) => {
      await fresh();
      setAsked({ cover: made.id }, { replace: true });
    },
  });
  const remove = useMutation({
    mutationFn: (cover: string) =>
      data(server.DELETE("/api/cover-pages/{id}", { params: { path: { id: cover } } })),
    onSettled: fresh,
  });
  const chosen = covers.data?.find((c) => c.id === asked.get("cover")) ?? covers.data?.at(-1);
  if (gone(shoot.error)) return <NotThere said={shoot.error.message} />;
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100%" }}>
      <TopBar
        crumbs={[
          { to: "/shoots", name: "Shoots" },
          { to: `/shoots/${id}`, name: shoot.data?.name ?? "…" },
          { name: "Cover" },
        ]}
      >
        {(covers.data?.length ?? 0) > 1 && (
          <Choice
            hideLabel
            label="Which cover"
            value={chosen?.id}
            options={(covers.data ?? []).map((c, i) => ({
              id: c.id,
              name: `${i + 1}. ${c.page.text.split("\n")[0] ?? ""}`,
            }))}
            onChoose={(cover) => setAsked({ cover }, { replace: true })}
          />
        )}
        <Button data-once disabled={views.length === 0 || make.isPending} onClick={() => make.mutate()}>
          Make a new cover
        </Button>
        {chosen && <Button onClick={() => remove.mutate(chosen.id)}>Remove this cover</Button>}
        {chosen &&
          FILES.map((f) => (
            <Button key={f} component="a" href={`/api/cover-pages/${chosen.id}/file?format=${f}`} download>
              Save as {f}
            </Button>
          ))}
      </TopBar>
      <Box component="main" sx={{ flexGrow: 1, minHeight: 0, display: "flex", flexDirection: "column" }}>
        <Said
          problem={
            shoot.error ?? covers.error ?? make.error ?? remove.error ?? typefaces.error ?? controls.error
          }
        />
        {covers.data?.length === 0 && (
          <Typography sx={{ p: 2.5 }}>
            No cover yet. A cover is a page with lettering over a picture of the shoot.
          </Typography>
        )}
        {chosen && typefaces.data && controls.data && (
          <Sheet
            key={chosen.id}
            id={chosen.id}
            kept={chosen.page}
            onKept={() => void fresh()}
            views={views}
            typefaces={typefaces.data}
            controls={controls.data}
          />
        )}
      </Box>
    </Box>
  );
}

type PanelProps = Parameters<typeof Panel>[0];

/** One cover being worked on; every change is kept. */
function Sheet({
  id,
  kept,
  onKept,
  ...rest
}: { id: string; kept: CoverPage; onKept: () => void } & Pick<
  PanelProps,
  "views" | "typefaces" | "controls"
>) {
  const [page, setPage] = useState(kept);
  const { shown, problem } = useDrawn(page, EDGE);
  const keep = useMutation({
    mutationFn: (body: CoverPage) =>
      data(server.PUT("/api/cover-pages/{id}", { params: { path: { id } }, body })),
    onSuccess: onKept,
  });
  const now = useRef(page);
  useEffect(() => {
    now.current = page;
  });
  // once what was changed is drawn
  const settle = () => setTimeout(() => keep.mutate(now.current), 0);
  return (
    <>
      <Said problem={problem ? new Error(problem) : keep.error} />
      <Box sx={{ flexGrow: 1, minHeight: 0, display: "flex" }}>
        <Panel page={page} onPage={setPage} onSettle={settle} {...rest} />
        <Stage page={page} picture={shown?.picture} onPage={setPage} onSettle={settle} />
      </Box>
      <Typography
        role="status"
        sx={{ px: 2, height: 28, borderTop: 1, borderColor: "divider", lineHeight: "28px" }}
      >
        {page.shadow && shown && !shown.shadowSeen
          ? "No shadow is seen along the line; a plain grey one is used."
          : keep.isPending
            ? "Saving …"
            : "Saved"}
      </Typography>
    </>
  );
}
