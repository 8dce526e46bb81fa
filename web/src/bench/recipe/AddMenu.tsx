import { Button, ListSubheader, Menu, MenuItem, Typography } from "@mui/material";
import { useState } from "react";
import { add } from "../passes";
import { useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { useLightsToAdd } from "./Lights";

/** Something that a stage's menu adds. */
export interface Addition {
  name: string;
  /** One sentence about what one sees. */
  help: string;
  disabled?: boolean;
  add: () => void;
}

/** The kinds of passes that a stage knows and the frames allow. */
function useKindsToAdd(stages: string[]): Addition[] {
  const all = useView((s) => s.kinds);
  const frames = useView((s) => s.sheet?.frames.length ?? 0);
  return all
    .filter((k) => stages.includes(k.stage) && k.frames.length < 2)
    .filter((k) => k.frames.length === 0 || k.kind === "clear-casts" || frames > 1)
    .map((k) => ({ name: k.name, help: k.help, add: () => add(k) }));
}

/** One menu for all that can be added to some stages, each with a line of help. */
export function AddMenu({ name, label, stages }: { name: string; label: string; stages: string[] }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  // what was added has the focus, not the button
  const [added, setAdded] = useState(false);
  const region = useHand((s) => s.region);
  const place = useHistory((s) => s.recipe?.regions.find((r) => r.id === region)?.name);
  const kinds = useKindsToAdd(stages);
  const lights = useLightsToAdd(stages);
  const all = [...lights, ...kinds];
  const open = (button: HTMLElement) => {
    setAdded(false);
    setAt(button);
  };
  return (
    <>
      <Button variant="contained" onClick={(e) => open(e.currentTarget)} aria-haspopup="menu">
        {name}
      </Button>
      <Menu
        anchorEl={at}
        open={!!at}
        onClose={() => setAt(null)}
        disableRestoreFocus={added}
        slotProps={{ list: { "aria-label": label, sx: { width: 276 } } }}
      >
        {place && (
          <ListSubheader sx={{ lineHeight: "24px", fontSize: 12 }} aria-hidden>
            In {place}
          </ListSubheader>
        )}
        {all.map((a) => (
          <MenuItem
            key={a.name}
            aria-label={a.name}
            disabled={a.disabled}
            sx={{ display: "block", whiteSpace: "normal" }}
            onClick={() => {
              setAdded(true);
              setAt(null);
              a.add();
            }}
          >
            {a.name}
            <Typography variant="caption" component="div">
              {a.help}
            </Typography>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
