import { Box, MenuItem, MenuList, Typography } from "@mui/material";
import type { ReactNode } from "react";
import type { Look } from "../../api/types";
import { look as colours } from "../../theme";
import { frameName } from "../frames";
import { FrameChooser } from "../recipe/choosers";
import { Word } from "../recipe/Word";
import { useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { useView } from "../state/view";

function Line({ what, children }: { what: string; children: ReactNode }) {
  return (
    <Typography component="div" sx={{ my: 0.25 }}>
      <span style={{ color: colours.soft }}>{what} </span>
      {children}
    </Typography>
  );
}

/** The frame that a part is found in. */
export function FrameLine({ frame, onPick }: { frame: string; onPick: (id: string) => void }) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  return (
    <Line what="Of">
      <Word label="Frame" text={frameName(frame, frames)}>
        {(close) => (
          <FrameChooser
            value={frame}
            onPick={(id) => {
              onPick(id);
              close();
            }}
          />
        )}
      </Word>
    </Line>
  );
}

const LIVE = "the picture below its pass, live";

/** What a part looks at: the ground, the picture below its pass, or a frame. */
export function LookLine({
  look,
  live,
  onPick,
}: {
  look: Look;
  live: boolean;
  onPick: (look: Look) => void;
}) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const text = { GROUND: "the ground", BELOW: LIVE, FRAME: frameName(look.frame, frames) }[look.from];
  return (
    <Line what="Looks at">
      <Word label="Looks at" text={text}>
        {(close) => {
          const take = (from: Look["from"], frame = "") => {
            onPick({ from, frame });
            close();
          };
          return (
            <Box>
              <MenuList autoFocus>
                <MenuItem onClick={() => take("GROUND")}>the ground</MenuItem>
                {live && <MenuItem onClick={() => take("BELOW")}>{LIVE}</MenuItem>}
              </MenuList>
              <FrameChooser value={look.frame} onPick={(id) => take("FRAME", id)} />
            </Box>
          );
        }}
      </Word>
    </Line>
  );
}

/** Another region that a part uses. */
export function RegionLine({
  region,
  what,
  none,
  onPick,
}: {
  region: string;
  what: string;
  /** What is said where no region is chosen; empty where one has to be. */
  none: string;
  onPick: (id: string) => void;
}) {
  const own = useHand((s) => s.region);
  const all = useHistory((s) => s.recipe?.regions) ?? [];
  return (
    <Line what={what}>
      <Word label={what} text={all.find((r) => r.id === region)?.name ?? none} tint="region">
        {(close) => {
          const pick = (id: string) => {
            onPick(id);
            close();
          };
          return (
            <MenuList autoFocus aria-label="Regions">
              {none && <MenuItem onClick={() => pick("")}>{none}</MenuItem>}
              {all
                .filter((r) => r.id !== own)
                .map((r) => (
                  <MenuItem key={r.id} onClick={() => pick(r.id)}>
                    {r.name}
                  </MenuItem>
                ))}
            </MenuList>
          );
        }}
      </Word>
    </Line>
  );
}
