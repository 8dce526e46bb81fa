import { Box, Button, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import type { Standing } from "../api/types";
import type { useFlightChange } from "./useFlight";

/** Where a remark is mended: its stage on the bench, and the pass that makes it. */
function mending(view: string, remark: Standing): string {
  const at = new URLSearchParams({ stage: remark.stage });
  if (remark.pass) at.set("pass", remark.pass);
  return `/views/${view}?${at.toString()}`;
}

/** One remark: it leads to what mends it, or is let pass with a word. */
export function Remark({
  view,
  remark,
  change,
}: {
  view: string;
  remark: Standing;
  change: ReturnType<typeof useFlightChange>;
}) {
  const [word, setWord] = useState<string>();
  if (remark.word) {
    return (
      <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <Typography color="text.secondary" sx={{ flexGrow: 1 }}>
          {remark.said} Accepted by {remark.who}: {remark.word}
        </Typography>
        <Button onClick={() => change.stand.mutate({ view, remark })}>Let it stand again</Button>
      </Box>
    );
  }
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
      <Typography sx={{ flexGrow: 1 }}>{remark.said}</Typography>
      {word === undefined ? (
        <>
          <Button
            component={Link}
            to={mending(view, remark)}
            aria-label={`Go to ${remark.stage}: ${remark.said}`}
          >
            Go to {remark.stage}
          </Button>
          <Button aria-label={`Accept: ${remark.said}`} onClick={() => setWord("")}>
            Accept …
          </Button>
        </>
      ) : (
        <Box
          component="form"
          sx={{ display: "flex", gap: 1 }}
          onSubmit={(e) => {
            e.preventDefault();
            change.accept.mutate({ view, remark, word });
            setWord(undefined);
          }}
        >
          <TextField
            autoFocus
            size="small"
            label="Why it may pass"
            value={word}
            onChange={(e) => setWord(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === "Escape") setWord(undefined);
            }}
            slotProps={{ htmlInput: { maxLength: 200 } }}
            sx={{ width: 240 }}
          />
          <Button type="submit" disabled={!word.trim()}>
            Accept it
          </Button>
        </Box>
      )}
    </Box>
  );
}
