import { Box, Checkbox, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { data, server } from "../api/client";
import type { Outcome, ViewCard } from "../api/types";
import { useBlobUrl } from "../kit/blob";
import { look } from "../theme";
import type { What } from "./what";

/** Until a choice counts as made, so that not every tick draws all pictures; milliseconds. */
const REST = 600;

function useRested<T>(value: T): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), REST);
    return () => clearTimeout(timer);
  }, [value]);
  return rested;
}

/** A view as it will be, and what cannot be done there. */
export function Target({
  from,
  edition,
  view,
  what,
  on,
  outcome,
  onChange,
}: {
  from: string;
  /** Of the recipe that is carried over. */
  edition: number;
  view: ViewCard;
  what: What | undefined;
  on: boolean;
  outcome: Outcome | undefined;
  onChange: () => void;
}) {
  const [held, setHeld] = useState(false);
  const asked = JSON.stringify(what);
  const wanted = useRested(asked);
  const picture = useQuery({
    queryKey: ["carry picture", from, edition, view.id, wanted],
    queryFn: ({ signal }) =>
      data<unknown>(
        server.POST("/api/views/{id}/carry/{to}", {
          params: { path: { id: from, to: view.id } },
          body: JSON.parse(wanted) as What,
          parseAs: "blob",
          signal,
        }),
      ),
    enabled: on && !!what && wanted === asked && !!outcome?.changes,
    gcTime: 0,
    staleTime: Infinity,
    retry: false,
  });
  const drawn = on && outcome?.changes && picture.data instanceof Blob ? picture.data : undefined;
  const url = useBlobUrl(drawn);
  const drawing = on && !!outcome?.changes && picture.isPending;
  return (
    <Box
      component="article"
      aria-label={view.name}
      sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper", opacity: on ? 1 : 0.55 }}
    >
      <Box
        component="button"
        aria-label={`${view.name} as it is, while held`}
        onPointerDown={() => setHeld(true)}
        onPointerUp={() => setHeld(false)}
        onPointerLeave={() => setHeld(false)}
        onKeyDown={(e) => e.key === " " && setHeld(true)}
        onKeyUp={() => setHeld(false)}
        onBlur={() => setHeld(false)}
        sx={{
          position: "relative",
          display: "block",
          width: "100%",
          p: 0,
          border: 0,
          aspectRatio: "3 / 2",
          bgcolor: look.surround.grey,
          overflow: "hidden",
        }}
      >
        <Box
          component="img"
          src={url && !held ? url : `/api/views/${view.id}/cover`}
          alt={url && !held ? `${view.name} as it will be` : `${view.name} as it is`}
          draggable={false}
          sx={{ width: "100%", height: "100%", objectFit: "contain", display: "block" }}
        />
        {drawing && (
          <Typography
            role="status"
            sx={{ position: "absolute", left: 8, bottom: 6, bgcolor: look.white, px: 0.75 }}
          >
            Drawing the picture …
          </Typography>
        )}
      </Box>
      <Box sx={{ px: 1, py: 0.75 }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 0.75 }}>
          <Checkbox
            checked={on}
            sx={{ p: 0 }}
            slotProps={{ input: { "aria-label": `Carry over to ${view.name}`, onChange } }}
          />
          <Typography variant="h3" noWrap>
            {view.name}
          </Typography>
        </Box>
        {outcome && !outcome.changes && (
          <Typography variant="caption" component="div">
            Nothing changes here.
          </Typography>
        )}
        {picture.error && <Typography variant="caption">{picture.error.message}</Typography>}
        {outcome?.lost.map((l) => (
          <Typography key={l} component="div" sx={{ fontSize: 12, color: look.amber }}>
            {l.charAt(0).toUpperCase() + l.slice(1)}.
          </Typography>
        ))}
        {outcome && outcome.look.length > 0 && (
          <Typography component="div" sx={{ fontSize: 12, color: look.slate }}>
            Check afterwards: {outcome.look.join(", ")}.
          </Typography>
        )}
      </Box>
    </Box>
  );
}
