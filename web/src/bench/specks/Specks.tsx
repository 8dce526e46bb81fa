import { Box, Button, Typography } from "@mui/material";
import type { KeyboardEvent } from "react";
import type { Speck } from "../../api/types";
import { focusSoon } from "../../kit/focus";
import { look } from "../../theme";
import { StageButton } from "../recipe/StageButton";
import { ListOver } from "../stage/ListOver";
import { usePlace } from "../stage/place";
import { bare, useGesture } from "../state/gesture";
import { help, useHelpers } from "../state/helpers";
import { useViewport } from "../state/viewport";
import { choose, heal, leave, same, useDust, useLooking, useSpecks } from "./specks";

/** Switches the list of likely dust on and off. */
export function SpecksButton() {
  const on = useHelpers((s) => s.specks);
  return (
    <StageButton pressed={on} onClick={() => help({ specks: !on, watching: false })}>
      Look for dust
    </StageButton>
  );
}

/** Likely dust, to be healed or left one by one. */
export function SpecksList() {
  return useLooking() ? <List /> : null;
}

/** What it is, in words. */
const said = (s: Speck) => `${Math.abs(s.stops).toFixed(2)} st ${s.stops < 0 ? "darker" : "lighter"}`;

/** The row that comes into the place of one that goes, or the one before it. */
function goOn(row: number) {
  focusSoon(`[data-speck="${row}"]`, `[data-speck="${row - 1}"]`);
}

function healAndGoOn(speck: Speck, row: number) {
  heal(speck);
  goOn(row);
}

function leaveAndGoOn(speck: Speck, row: number) {
  leave(speck);
  goOn(row);
}

function List() {
  const { all, error } = useDust();
  const onKey = (e: KeyboardEvent, speck: Speck, row: number) => {
    const moves: Record<string, () => void> = {
      ArrowDown: () => focusSoon(`[data-speck="${row + 1}"]`),
      ArrowUp: () => focusSoon(`[data-speck="${row - 1}"]`),
      Delete: () => leaveAndGoOn(speck, row),
    };
    if (!moves[e.key]) return;
    e.preventDefault();
    e.stopPropagation();
    moves[e.key]?.();
  };
  return (
    <ListOver name="Dust">
      {error && <Typography color={look.alarm}>{error.message}</Typography>}
      {!all && !error && <Typography color="text.secondary">Looking the picture over…</Typography>}
      {all?.length === 0 && <Typography>Nothing on plain walls or skies looks like dust.</Typography>}
      {all && all.length > 0 && (
        <Typography variant="caption" component="p">
          Enter heals, Delete leaves, arrows go on.
        </Typography>
      )}
      {all?.map((s, i) => (
        <Box key={`${s.at.x} ${s.at.y}`} sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
          <Button
            data-speck={i}
            onFocus={() => choose(s)}
            onKeyDown={(e) => onKey(e, s, i)}
            onClick={(e) => {
              // a press of the mouse looks at it; Enter heals
              if (e.detail === 0) healAndGoOn(s, i);
            }}
            sx={{
              flex: 1,
              textAlign: "left",
              justifyContent: "flex-start",
              px: 0.5,
              py: 0.25,
              lineHeight: 1.3,
            }}
          >
            {i + 1} {said(s)}
          </Button>
          <Button
            aria-label={`Heal speck ${i + 1}`}
            onClick={() => healAndGoOn(s, i)}
            sx={{ minWidth: 0, px: 0.5 }}
          >
            Heal
          </Button>
          <Button
            aria-label={`Leave speck ${i + 1}`}
            onClick={() => leaveAndGoOn(s, i)}
            sx={{ minWidth: 0, px: 0.5 }}
          >
            Leave
          </Button>
        </Box>
      ))}
    </ListOver>
  );
}

/** Rings on the picture about likely dust. */
export function SpecksMarks() {
  const on = useLooking();
  const hidden = useGesture(bare);
  const alone = useViewport((s) => s.alone);
  return on && !hidden && !alone ? <Marks /> : null;
}

function Marks() {
  const { all } = useDust();
  const chosen = useSpecks((s) => s.chosen);
  const { at, long, scale } = usePlace();
  return (
    <svg style={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
      {(all ?? []).map((s, i) => {
        const { x, y } = at(s.at);
        const r = Math.max(7, 2.5 * s.radius * long * scale);
        const here = same(chosen, s.at);
        return (
          <g key={i} data-testid="speck-mark">
            <circle cx={x} cy={y} r={r} fill="none" stroke="#fff" strokeWidth={here ? 5 : 3} opacity={0.85} />
            <circle cx={x} cy={y} r={r} fill="none" stroke={look.alarm} strokeWidth={here ? 2.5 : 1} />
          </g>
        );
      })}
    </svg>
  );
}
