import MoreHorizIcon from "@mui/icons-material/MoreHoriz";
import { Box, Button, Dialog, IconButton, Menu, MenuItem, TextField, Typography } from "@mui/material";
import { useState } from "react";

/** What can be done with a shoot or a view as a whole. */
export function CardMenu({
  name,
  onRename,
  onThrow,
}: {
  name: string;
  onRename: (to: string) => void;
  /** Not there for those who may not. */
  onThrow?: () => void;
}) {
  const [at, setAt] = useState<HTMLElement>();
  const [naming, setNaming] = useState<string>();
  return (
    <>
      <IconButton size="small" aria-label={`More about ${name}`} onClick={(e) => setAt(e.currentTarget)}>
        <MoreHorizIcon sx={{ fontSize: 18 }} />
      </IconButton>
      <Menu anchorEl={at} open={!!at} onClose={() => setAt(undefined)}>
        <MenuItem
          onClick={() => {
            setAt(undefined);
            setNaming(name);
          }}
        >
          Rename
        </MenuItem>
        {onThrow && (
          <MenuItem
            onClick={() => {
              setAt(undefined);
              onThrow();
            }}
          >
            Move to the bin
          </MenuItem>
        )}
      </Menu>
      <Dialog open={naming !== undefined} onClose={() => setNaming(undefined)} aria-label={`Rename ${name}`}>
        <Box
          component="form"
          sx={{ p: 2.5, width: 400 }}
          onSubmit={(e) => {
            e.preventDefault();
            setNaming(undefined);
            if (naming?.trim() && naming.trim() !== name) onRename(naming.trim());
          }}
        >
          <Typography variant="h2" sx={{ mb: 1.5 }}>
            Rename {name}
          </Typography>
          <TextField
            autoFocus
            fullWidth
            size="small"
            label="Name"
            value={naming ?? ""}
            error={naming?.trim() === ""}
            onChange={(e) => setNaming(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <Box sx={{ display: "flex", gap: 1, justifyContent: "flex-end", mt: 2 }}>
            <Button onClick={() => setNaming(undefined)}>Cancel</Button>
            <Button type="submit" variant="contained" disabled={!naming?.trim()}>
              Rename
            </Button>
          </Box>
        </Box>
      </Dialog>
    </>
  );
}
