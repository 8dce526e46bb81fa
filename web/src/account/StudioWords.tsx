import { Box, Button, TextField } from "@mui/material";
import { useState } from "react";
import { data, server } from "../api/client";
import { Said } from "../kit/Said";
import { Sheet } from "../kit/Sheet";
import { useStudio, useStudioChange } from "./useStudio";

/** The studio's name, and the copyright line of its files. */
export function StudioWords() {
  const studio = useStudio();
  const [typed, setTyped] = useState<{ name: string; copyright: string }>();
  const change = useStudioChange((body: { name: string; copyright: string }) =>
    data(server.PUT("/api/studio", { body })).then(() => setTyped(undefined)),
  );
  const shown = typed ?? studio.data;
  return (
    <Sheet title="Studio">
      <Said problem={studio.error ?? change.error} />
      {shown && (
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
          <TextField
            size="small"
            label="Name of the studio"
            value={shown.name}
            onChange={(e) => setTyped({ name: e.target.value, copyright: shown.copyright })}
            sx={{ flexGrow: 1 }}
          />
          <TextField
            size="small"
            label="Copyright line in delivered files"
            value={shown.copyright}
            onChange={(e) => setTyped({ name: shown.name, copyright: e.target.value })}
            sx={{ flexGrow: 1 }}
          />
          <Button disabled={!typed?.name.trim()} onClick={() => typed && change.mutate(typed)}>
            Change
          </Button>
        </Box>
      )}
    </Sheet>
  );
}
