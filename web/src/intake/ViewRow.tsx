import { Box, Button, Checkbox, MenuItem, Select, TextField, Tooltip, Typography } from "@mui/material";
import type { Role, WaitingFrame } from "../api/types";
import { look } from "../theme";
import type { Planned } from "./plan";
import { ROLE, shutter } from "./words";

interface RowProps {
  view: Planned;
  /** Where the small picture of a frame is. */
  thumb: (f: WaitingFrame) => string;
  first: boolean;
  others: { name: string; at: number }[];
  onChange: (to: Partial<Planned>) => void;
  onSplit: (frame: number) => void;
  onMerge: () => void;
  onMove: (id: string, to: number) => void;
}

/** One view to be: its frames with their roles, and ways to split, merge and move. */
export function ViewRow({ view, thumb, first, others, onChange, onSplit, onMerge, onMove }: RowProps) {
  const size = view.frames[0];
  const known = view.frames.every((f) => f.known);
  const quiet = known && !view.wanted;
  const base = view.frames.find((f) => f.id === view.anchor)?.stops ?? 0;
  return (
    <Box
      component="section"
      aria-label={view.name}
      sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper", mt: 1.5, p: 1.5 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: quiet ? 0 : 1 }}>
        <Checkbox
          checked={view.wanted}
          onChange={(e) => onChange({ wanted: e.target.checked })}
          slotProps={{ input: { "aria-label": `Take in ${view.name}` } }}
        />
        <TextField
          size="small"
          value={view.name}
          onChange={(e) => onChange({ name: e.target.value })}
          error={!view.name.trim()}
          helperText={view.name.trim() ? undefined : "Give the view a name."}
          slotProps={{ htmlInput: { "aria-label": "Name of the view", maxLength: 200 } }}
          sx={{ width: 240 }}
        />
        <Typography color="text.secondary" sx={{ flexGrow: 1 }}>
          {view.frames.length} {view.frames.length === 1 ? "frame" : "frames"}, {size?.width}×{size?.height}
          {known ? " · already taken in" : ""}
        </Typography>
        {quiet &&
          view.frames.map((f) => (
            <Box
              key={f.id}
              component="img"
              src={thumb(f)}
              alt={f.name}
              data-testid="card-frame"
              sx={{ width: 54, display: "block" }}
            />
          ))}
        {!first && !quiet && <Button onClick={onMerge}>Merge with the view above</Button>}
      </Box>
      <Box sx={{ display: quiet ? "none" : "flex", gap: 1, flexWrap: "wrap" }}>
        {(quiet ? [] : view.frames).map((f, i) => (
          <Box key={f.id} sx={{ width: 138 }} data-testid="card-frame">
            <Box
              sx={{
                position: "relative",
                border: f.id === view.anchor ? `2px solid ${look.ink}` : `2px solid transparent`,
              }}
            >
              <Box component="img" src={thumb(f)} alt={f.name} sx={{ width: "100%", display: "block" }} />
              {f.id === view.anchor && (
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
                : `${step(f.stops - base)} st · ${shutter(f.seconds ?? 0)} s f/${f.aperture}`}
            </Typography>
            <Select
              size="small"
              fullWidth
              value={f.role}
              onChange={(e) =>
                onChange({
                  frames: view.frames.map((o) => (o === f ? { ...o, role: e.target.value } : o)),
                })
              }
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
                  <Button
                    sx={{ fontSize: 11, px: 0.75 }}
                    disabled={f.id === view.anchor}
                    onClick={() => onChange({ anchor: f.id })}
                  >
                    Anchor
                  </Button>
                </span>
              </Tooltip>
              {i > 0 && (
                <Button sx={{ fontSize: 11, px: 0.75 }} onClick={() => onSplit(i)}>
                  Split here
                </Button>
              )}
            </Box>
            {others.length > 0 && (
              <Select
                size="small"
                displayEmpty
                fullWidth
                value=""
                sx={{ mt: 0.5, fontSize: 11 }}
                inputProps={{ "aria-label": `Move ${f.name} to another view` }}
                renderValue={() => "Move to…"}
                onChange={(e) => onMove(f.id, Number(e.target.value))}
              >
                {others.map((o) => (
                  <MenuItem key={o.at} value={String(o.at)}>
                    {o.name}
                  </MenuItem>
                ))}
              </Select>
            )}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function step(stops: number): string {
  const r = Math.round(stops * 10) / 10;
  return (r > 0 ? "+" : r < 0 ? "−" : "") + Math.abs(r).toFixed(Number.isInteger(r) ? 0 : 1);
}
