import { Button, ListSubheader, Menu, MenuItem, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { data, server } from "../../api/client";
import type { Kind } from "../../api/types";
import { startingAs } from "../edits/passes";
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
  /** The view where it was last set by hand, and adding it as it stands there. */
  as?: { view: string; add: () => void };
}

/** How each kind was last set by hand in the other views of the shoot. */
function useLastMoves() {
  const id = useView((s) => s.sheet?.id ?? "");
  const last = useQuery({
    queryKey: ["last moves", id],
    queryFn: () => data(server.GET("/api/views/{id}/last-moves", { params: { path: { id } } })),
    enabled: !!id,
    staleTime: 0,
  });
  return (kind: Kind): Addition["as"] => {
    const set = last.data?.find((l) => l.kind === kind.kind);
    return set && { view: set.view, add: () => add(startingAs(kind, set.pass)) };
  };
}

/** The kinds of passes that a stage knows, or any, and that the frames allow. */
function useKindsToAdd(stage: string | undefined): Addition[] {
  const all = useView((s) => s.kinds);
  const frames = useView((s) => s.sheet?.frames.length ?? 0);
  const last = useLastMoves();
  return all
    .filter((k) => (!stage || k.stage === stage) && k.frames.length < 2)
    .filter((k) => k.frames.length === 0 || k.kind === "clear-casts" || frames > 1)
    .map((k) => ({ name: k.name, help: k.help, add: () => add(k), as: last(k) }));
}

/** One menu for all that can be added, each with a line of help. */
export function AddMenu({
  name,
  label,
  stage,
}: {
  name: string;
  label: string;
  /** What can be added to this stage alone. */
  stage?: string;
}) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button variant="contained" onClick={(e) => setAt(e.currentTarget)} aria-haspopup="menu">
        {name}
      </Button>
      {at && <Additions at={at} label={label} stage={stage} onClose={() => setAt(null)} />}
    </>
  );
}

function Additions({
  at,
  label,
  stage,
  onClose,
}: {
  at: HTMLElement;
  label: string;
  stage: string | undefined;
  onClose: () => void;
}) {
  const region = useHand((s) => s.region);
  const place = useHistory((s) => s.recipe?.regions.find((r) => r.id === region)?.name);
  const kinds = useKindsToAdd(stage);
  const lights = useLightsToAdd(stage);
  return (
    <Menu
      anchorEl={at}
      open
      onClose={onClose}
      slotProps={{ list: { "aria-label": label, sx: { width: 276 } } }}
    >
      {place && (
        <ListSubheader sx={{ lineHeight: "24px", fontSize: 12 }} aria-hidden>
          In {place}
        </ListSubheader>
      )}
      {[...lights, ...kinds].flatMap((a) => [
        <MenuItem
          key={a.name}
          aria-label={a.name}
          disabled={a.disabled}
          sx={{ display: "block", whiteSpace: "normal" }}
          onClick={() => {
            onClose();
            a.add();
          }}
        >
          {a.name}
          <Typography variant="caption" component="div">
            {a.help}
          </Typography>
        </MenuItem>,
        a.as && (
          <MenuItem
            key={`${a.name} as`}
            aria-label={`${a.name} as in ${a.as.view}`}
            sx={{ pl: 4, display: "block" }}
            onClick={() => {
              onClose();
              a.as?.add();
            }}
          >
            <Typography noWrap>as in {a.as.view}</Typography>
          </MenuItem>
        ),
      ])}
    </Menu>
  );
}
