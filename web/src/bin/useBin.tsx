import { Button, Snackbar } from "@mui/material";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { data, server } from "../api/client";
import type { Binned } from "../api/types";
import { look } from "../theme";

/** A shoot, a view or a frame, as the bin tells them apart. */
export interface Thing {
  id: string;
  kind: Binned["kind"];
  name: string;
}

const params = (id: string) => ({ params: { path: { id } } });

const throwAway = ({ id, kind }: Thing) =>
  kind === "VIEW"
    ? data(server.DELETE("/api/views/{id}", params(id)))
    : data(server.DELETE("/api/shoots/{id}", params(id)));

const BACK = {
  SHOOT: (id: string) => data(server.POST("/api/bin/shoots/{id}/restore", params(id))),
  VIEW: (id: string) => data(server.POST("/api/bin/views/{id}/restore", params(id))),
  FRAME: (id: string) => data(server.POST("/api/bin/frames/{id}/restore", params(id))),
};
const bringBack = ({ id, kind }: Thing): Promise<unknown> => BACK[kind](id);

const AWAY = {
  SHOOT: (id: string) => data(server.DELETE("/api/bin/shoots/{id}", params(id))),
  VIEW: (id: string) => data(server.DELETE("/api/bin/views/{id}", params(id))),
  FRAME: (id: string) => data(server.DELETE("/api/bin/frames/{id}", params(id))),
};
const deleteNow = ({ id, kind }: Thing) => AWAY[kind](id);

const rename = ({ id, kind, name }: Thing) =>
  kind === "VIEW"
    ? data(server.PUT("/api/views/{id}/name", { ...params(id), body: { name } }))
    : data(server.PUT("/api/shoots/{id}/name", { ...params(id), body: { name } }));

/** Renaming, throwing away and bringing back, with a way to undo the second. */
export function useBin() {
  const queries = useQueryClient();
  const [thrown, setThrown] = useState<Thing[]>([]);
  const act = useMutation({
    mutationFn: ({ to, thing }: { to: (t: Thing) => Promise<unknown>; thing: Thing }) => to(thing),
    onSettled: () => queries.invalidateQueries(),
  });
  const throwAll = useMutation({
    mutationFn: (things: Thing[]) => Promise.all(things.map(throwAway)),
    onSuccess: (_, things) => setThrown(things),
    onSettled: () => queries.invalidateQueries(),
  });
  return {
    problem: act.error ?? throwAll.error,
    rename: (thing: Thing) => act.mutate({ to: rename, thing }),
    throwAway: (thing: Thing) => throwAll.mutate([thing]),
    throwAll: (things: Thing[]) => throwAll.mutate(things),
    bringBack: (thing: Thing) => act.mutate({ to: bringBack, thing }),
    deleteNow: (thing: Thing) => act.mutate({ to: deleteNow, thing }),
    note: (
      <Snackbar
        open={thrown.length > 0}
        autoHideDuration={12_000}
        onClose={(_, why) => why === "timeout" && setThrown([])}
        message={
          thrown.length === 1
            ? `${thrown[0]?.name ?? ""} is in the bin, for 30 days.`
            : `${thrown.length} views are in the bin, for 30 days.`
        }
        action={
          <Button
            sx={{ color: look.ink }}
            onClick={() => {
              thrown.forEach((thing) => act.mutate({ to: bringBack, thing }));
              setThrown([]);
            }}
          >
            Undo
          </Button>
        }
      />
    ),
  };
}
