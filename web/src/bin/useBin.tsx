import { Button, Snackbar } from "@mui/material";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { data, server } from "../api/client";
import { look } from "../theme";

/** A shoot or a view, as the bin tells them apart. */
export interface Thing {
  id: string;
  view: boolean;
  name: string;
}

const throwAway = ({ id, view }: Thing) =>
  view
    ? data(server.DELETE("/api/views/{id}", { params: { path: { id } } }))
    : data(server.DELETE("/api/shoots/{id}", { params: { path: { id } } }));

const bringBack = ({ id, view }: Thing) =>
  view
    ? data(server.POST("/api/bin/views/{id}/restore", { params: { path: { id } } }))
    : data(server.POST("/api/bin/shoots/{id}/restore", { params: { path: { id } } }));

const deleteNow = ({ id, view }: Thing) =>
  view
    ? data(server.DELETE("/api/bin/views/{id}", { params: { path: { id } } }))
    : data(server.DELETE("/api/bin/shoots/{id}", { params: { path: { id } } }));

const rename = ({ id, view, name }: Thing) =>
  view
    ? data(server.PUT("/api/views/{id}/name", { params: { path: { id } }, body: { name } }))
    : data(server.PUT("/api/shoots/{id}/name", { params: { path: { id } }, body: { name } }));

/** Renaming, throwing away and bringing back, with a way to undo the second. */
export function useBin() {
  const queries = useQueryClient();
  const [thrown, setThrown] = useState<Thing>();
  const act = useMutation({
    mutationFn: ({ to, thing }: { to: (t: Thing) => Promise<unknown>; thing: Thing }) => to(thing),
    onSettled: () => queries.invalidateQueries(),
  });
  return {
    problem: act.error,
    rename: (thing: Thing) => act.mutate({ to: rename, thing }),
    throwAway: (thing: Thing) => act.mutate({ to: throwAway, thing }, { onSuccess: () => setThrown(thing) }),
    bringBack: (thing: Thing) => act.mutate({ to: bringBack, thing }),
    deleteNow: (thing: Thing) => act.mutate({ to: deleteNow, thing }),
    note: (
      <Snackbar
        open={!!thrown}
        autoHideDuration={12_000}
        onClose={(_, why) => why === "timeout" && setThrown(undefined)}
        message={`${thrown?.name ?? ""} is in the bin, for 30 days.`}
        action={
          <Button
            sx={{ color: look.ink }}
            onClick={() => {
              if (thrown) act.mutate({ to: bringBack, thing: thrown });
              setThrown(undefined);
            }}
          >
            Undo
          </Button>
        }
      />
    ),
  };
}
