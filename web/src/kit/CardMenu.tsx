import MoreHorizIcon from "@mui/icons-material/MoreHoriz";
import { Button, IconButton, Menu, MenuItem, TextField } from "@mui/material";
import { useState } from "react";
import { Asking } from "./Asking";

/** What can be done with a shoot or a view as a whole. */
export function CardMenu({
  name,
  onRename,
  onThrow,
  more = [],
}: {
  name: string;
  onRename: (to: string) => void;
  /** Not there for those who may not. */
  onThrow?: () => void;
  /** What else can be done, in words. */
  more?: { name: string; act: () => void }[];
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
        {more.map((m) => (
          <MenuItem
            key={m.name}
            onClick={() => {
              setAt(undefined);
              m.act();
            }}
          >
            {m.name}
          </MenuItem>
        ))}
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
      <Asking
        title={`Rename ${name}`}
        width={400}
        open={naming !== undefined}
        onClose={() => setNaming(undefined)}
        onEnter={() => {
          setNaming(undefined);
          if (naming?.trim() && naming.trim() !== name) onRename(naming.trim());
        }}
        buttons={
          <>
            <Button onClick={() => setNaming(undefined)}>Cancel</Button>
            <Button type="submit" variant="contained" disabled={!naming?.trim()}>
              Rename
            </Button>
          </>
        }
      >
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
      </Asking>
    </>
  );
}
