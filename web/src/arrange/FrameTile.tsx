import { Box, Button, MenuItem, Select, Tooltip, Typography } from "@mui/material";
import type { Role } from "../api/types";
import { stepped } from "../kit/numbers";
import { look } from "../theme";
import type { Arranged } from "./plan";
import { ROLE, shutter } from "./words";

interface TileProps {
  frame: Arranged;
  /** Exposure that the others are told against, stops. */
  base: number;
  thumb: string;
  anchor: boolean;
  chosen: boolean;
  onPress: (by: { shiftKey: boolean }) => void;
  onRole: (to: Role) => void;
  onAnchor: () => void;
  /** Not there for the first frame of a view. */
  onSplit?: () => void;
}

/** One frame of a view to be: what it is, and what it is for. */
export function FrameTile({
  frame: f,
  base,
  thumb,
  anchor,
  chosen,
  onPress,
  onRole,
  onAnchor,
  onSplit,
}: TileProps) {
  return (
    <Box sx={{ width: 138 }} data-testid="card-frame">
      <Box
        component="button"
        aria-label={`Choose ${f.name}`}
        aria-pressed={chosen}
        onClick={onPress}
        sx={{
          position: "relative",
          width: "100%",
          p: 0,
          display: "block",
          cursor: "pointer",
          border: `2px solid ${anchor ? look.ink : "transparent"}`,
          bgcolor: "transparent",
          outline: chosen ? `3px solid ${look.amberFill}` : undefined,
        }}
      >
        <Box
          component="img"
          src={thumb}
          alt={f.name}
          sx={{ width: "100%", aspectRatio: "auto 3 / 2", display: "block" }}
        />
        {anchor && (
          <Box
            sx={{
              position: "absolute",
              left: 4,
              top: 4,
              width: 9,
              height: 9,
              bgcolor: look.white,
              border: `1px solid ${look.ink}`,
            }}
          />
        )}
      </Box>
      <Typography variant="body2" noWrap title={f.name}>
        {f.name}
      </Typography>
      <Typography
        variant="caption"
        component="div"
        color={f.stops === undefined ? "text.secondary" : undefined}
      >
        {f.stops === undefined
          ? "exposure to be estimated"
          : `${stepped(f.stops - base)} st${f.seconds ? ` · ${shutter(f.seconds)} s f/${f.aperture}` : ""}`}
        {f.focal !== undefined && ` · ${Math.round(f.focal)} mm`}
      </Typography>
      <Select
        size="small"
        fullWidth
        value={f.role}
        onChange={(e) => onRole(e.target.value)}
        inputProps={{ "aria-label": `Role of ${f.name}` }}
        sx={{ mt: 0.25, fontSize: 12 }}
      >
        {(Object.keys(ROLE) as Role[]).map((r) => (
          <MenuItem key={r} value={r}>
            {ROLE[r]}
          </MenuItem>
        ))}
      </Select>
      <Box sx={{ display: "flex", gap: 0.5, mt: 0.5 }}>
        <Tooltip title="This frame gives geometry; the others are lined up to it">
          <span>
            <Button sx={{ fontSize: 11, px: 0.75 }} disabled={anchor} onClick={onAnchor}>
              Anchor
            </Button>
          </span>
        </Tooltip>
        {onSplit && (
          <Button sx={{ fontSize: 11, px: 0.75 }} onClick={onSplit}>
            Split here
          </Button>
        )}
      </Box>
    </Box>
  );
}
