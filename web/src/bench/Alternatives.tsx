import { Button, IconButton, MenuItem, TextField, Tooltip, Typography } from "@mui/material";
import Delete from "@mui/icons-material/DeleteOutlined";
import RadioButtonChecked from "@mui/icons-material/RadioButtonChecked";
import RadioButtonUnchecked from "@mui/icons-material/RadioButtonUnchecked";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { data, server } from "../api/client";
import { useAlternatives } from "../compare/sides";
import { Asking } from "../kit/Asking";
import { Said } from "../kit/Said";
import { goTo } from "./state/history";
import { useView } from "./state/view";

/** Changes the alternatives of a view. */
function useChange(view: string) {
  const queries = useQueryClient();
  const after = { onSuccess: () => queries.invalidateQueries({ queryKey: ["alternatives", view] }) };
  const keep = useMutation({
    mutationFn: (body: { name: string; revision: number }) =>
      data(server.POST("/api/views/{view}/alternatives", { params: { path: { view } }, body })),
    ...after,
  });
  const choose = useMutation({
    mutationFn: ({ id, chosen }: { id: string; chosen: boolean }) =>
      data(
        server.PUT("/api/views/{view}/alternatives/{id}/chosen", {
          params: { path: { view, id } },
          body: { chosen },
        }),
      ),
    ...after,
  });
  const remove = useMutation({
    mutationFn: (id: string) =>
      data(server.DELETE("/api/views/{view}/alternatives/{id}", { params: { path: { view, id } } })),
    ...after,
  });
  return { keep, choose, remove };
}

/** The alternatives of a view in the history: gone to, chosen for delivery, removed. */
export function AlternativeItems({ view, onGo }: { view: string; onGo: () => void }) {
  const all = useAlternatives(view);
  const { choose, remove } = useChange(view);
  return (
    <>
      {all.data?.map((a) => (
        <MenuItem
          key={a.id}
          sx={{ display: "grid", gridTemplateColumns: "1fr auto auto", gap: 0.5 }}
          onClick={() => {
            onGo();
            void goTo(a.revision);
          }}
        >
          <Typography noWrap title={`${a.name}, revision ${a.revision}`}>
            {a.name}
          </Typography>
          <Tooltip title={a.chosen ? "Delivered; press to deliver the newest again" : "Deliver this one"}>
            <IconButton
              size="small"
              aria-label={`Deliver ${a.name}`}
              aria-pressed={a.chosen}
              onClick={(e) => {
                e.stopPropagation();
                choose.mutate({ id: a.id, chosen: !a.chosen });
              }}
            >
              {a.chosen ? (
                <RadioButtonChecked sx={{ fontSize: 16 }} />
              ) : (
                <RadioButtonUnchecked sx={{ fontSize: 16 }} />
              )}
            </IconButton>
          </Tooltip>
          <IconButton
            size="small"
            aria-label={`Remove ${a.name}`}
            onClick={(e) => {
              e.stopPropagation();
              remove.mutate(a.id);
            }}
          >
            <Delete sx={{ fontSize: 16 }} />
          </IconButton>
        </MenuItem>
      ))}
    </>
  );
}

/** Names a revision, so that it can be compared and delivered. */
export function KeepAlternative({ revision, onClose }: { revision: number; onClose: () => void }) {
  const view = useView((s) => s.sheet?.id) ?? "";
  const [name, setName] = useState("");
  const { keep } = useChange(view);
  return (
    <Asking
      title="Keep as an alternative"
      width={400}
      onClose={onClose}
      onEnter={() => keep.mutate({ name, revision }, { onSuccess: onClose })}
      buttons={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained" disabled={!name.trim()}>
            Keep it
          </Button>
        </>
      }
    >
      <Said problem={keep.error} />
      <TextField
        autoFocus
        size="small"
        label="Name"
        value={name}
        onChange={(e) => setName(e.target.value)}
        onKeyDown={(e) => e.stopPropagation()}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
    </Asking>
  );
}
