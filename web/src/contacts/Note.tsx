import { Box, Button, Dialog, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { ViewCard } from "../api/types";
import { useNoting } from "../secondlook/judging";
import { Said } from "../kit/Said";

/** A word on a view, for oneself and for colleagues. */
export function Note({ view, onClose }: { view: ViewCard; onClose: () => void }) {
  const [note, setNote] = useState(view.note);
  const keep = useNoting();
  return (
    <Dialog open onClose={onClose} slotProps={{ paper: { "aria-label": `Note on ${view.name}` } }}>
      <Box
        component="form"
        sx={{ p: 2.5, width: 440 }}
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate({ view: view.id, note }, { onSuccess: onClose });
        }}
      >
        <Typography variant="h2" sx={{ mb: 1.5 }}>
          Note on {view.name}
        </Typography>
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
        <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end", mt: 2 }}>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" data-once variant="contained" disabled={keep.isPending}>
            Keep the note
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
