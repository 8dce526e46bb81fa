import { Box, Button, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { data, server } from "../api/client";
import type { Binned } from "../api/types";
import { day } from "../kit/dates";
import { Page, TopBar } from "../kit/Page";
import { Question } from "../kit/Question";
import { Said } from "../kit/Said";
import { type Thing, useBin } from "./useBin";

function what({ kind, of, views }: Binned): string {
  if (kind === "SHOOT") return `A shoot of ${views} ${views === 1 ? "view" : "views"}`;
  return kind === "VIEW" ? `A view of ${of}` : `A frame of ${of}`;
}

/** What was thrown away and can still be brought back. */
export function Bin() {
  const bin = useQuery({ queryKey: ["bin"], queryFn: () => data(server.GET("/api/bin")) });
  const { problem, bringBack, deleteNow } = useBin();
  const [asked, setAsked] = useState<Thing>();
  return (
    <Page bar={<TopBar crumbs={[{ to: "/shoots", name: "Shoots" }, { name: "Bin" }]} />}>
      <Said problem={bin.error ?? problem} />
      {bin.data?.length === 0 && <Typography>The bin is empty.</Typography>}
      {bin.data?.map((b) => (
        <Box
          key={b.id}
          component="article"
          aria-label={b.name}
          sx={{
            display: "flex",
            alignItems: "center",
            gap: 2,
            border: 1,
            borderColor: "divider",
            bgcolor: "background.paper",
            px: 1.5,
            py: 1,
            mb: 1,
          }}
        >
          <Typography variant="h3" noWrap sx={{ width: 320 }}>
            {b.name}
          </Typography>
          <Typography color="text.secondary" sx={{ flexGrow: 1 }} noWrap>
            {what(b)}, to be deleted on {day(b.until)}
          </Typography>
          <Button onClick={() => bringBack(b)}>Bring back</Button>
          <Button onClick={() => setAsked(b)}>Delete now</Button>
        </Box>
      ))}
      <Question
        open={!!asked}
        title={`Delete ${asked?.name ?? ""} for good?`}
        text={
          asked?.kind === "FRAME"
            ? "The frame is deleted and cannot be brought back."
            : "Its frames, its recipe and its history are deleted and cannot be brought back. Files that were delivered stay where they are."
        }
        yes="Delete for good"
        no="Keep it in the bin"
        onYes={() => asked && deleteNow(asked)}
        onClose={() => setAsked(undefined)}
      />
    </Page>
  );
}
