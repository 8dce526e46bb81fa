import { Button, TextField } from "@mui/material";
import { useState } from "react";
import type { ViewCard } from "../api/types";
import { useNoting } from "../secondlook/judging";
import { Asking } from "../kit/Asking";
import { Said } from "../kit/Said";

/** A word on a view, for oneself and for colleagues. */
export function Note({ view, onClose }: { view: ViewCard; onClose: () => void }) {
  const [note, setNote] = useState(view.note);
  const keep = useNoting();
  return (
    <Asking
      title={`Note on ${view.name}`}
      onClose={onClose}
      onEnter={() => keep.mutate({ view: view.id, note }, { onSuccess: onClose })}
      buttons={
        <>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" data-once variant="contained" disabled={keep.isPending}>
            Keep the note
          </Button>
        </>
      }
    >
      <Said problem={keep.error} />
      <TextField
        autoFocus
        fullWidth
        multiline
        minRows={3}
        maxRows={10}
        sx={{ "& .MuiInputBase-multiline": { p: 0 } }}
        size="small"
        value={note}
        onChange={(e) => setNote(e.target.value)}
        slotProps={{ htmlInput: { maxLength: 2000, "aria-label": "Note" } }}
      />
    </Asking>
  );
}
