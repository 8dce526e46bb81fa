import { Box, Button, TextField, Typography } from "@mui/material";
import type { ReactNode } from "react";
import type { Selection } from "../kit/selection";
import { FrameTile } from "./FrameTile";
import type { Arranged, Planned } from "./plan";

interface RowProps {
  view: Planned;
  /** Where the small picture of a frame is. */
  thumb: (f: Arranged) => string;
  selection: Selection;
  /** What stands before the name. */
  lead?: ReactNode;
  /** What is said behind the size. */
  said?: string;
  /** Whether the frames are only shown, small, in one line. */
  quiet?: boolean;
  /** What stands at the end of the line. */
  children?: ReactNode;
  onChange: (to: Partial<Planned>) => void;
  onSplit: (frame: number) => void;
  /** Not there for the first view. */
  onMerge?: () => void;
}

/** One view to be: its name, its frames with their roles, and ways to split and merge. */
export function ViewRow({
  view,
  thumb,
  selection,
  lead,
  said,
  quiet,
  children,
  onChange,
  onSplit,
  onMerge,
}: RowProps) {
  const size = view.frames[0];
  const base = view.frames.find((f) => f.id === view.anchor)?.stops ?? 0;
  return (
    <Box
      component="section"
      aria-label={view.name}
      sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper", mt: 1.5, p: 1.5 }}
    >
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.5, mb: quiet ? 0 : 1 }}>
        {lead}
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
          {said}
        </Typography>
        {quiet &&
          view.frames.map((f) => (
            <Box
              key={f.id}
              component="img"
              src={thumb(f)}
              alt={f.name}
              data-testid="card-frame"
              sx={{ width: 54, aspectRatio: "auto 3 / 2", display: "block" }}
            />
          ))}
        {children}
        {onMerge && !quiet && <Button onClick={onMerge}>Merge with the view above</Button>}
      </Box>
      {!quiet && (
        <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
          {view.frames.map((f, i) => (
            <FrameTile
              key={f.id}
              frame={f}
              base={base}
              thumb={thumb(f)}
              anchor={f.id === view.anchor}
              chosen={selection.has(f.id)}
              onPress={(by) => selection.press(f.id, by)}
              onRole={(role) =>
                onChange({ frames: view.frames.map((o) => (o.id === f.id ? { ...o, role } : o)) })
              }
              onAnchor={() => onChange({ anchor: f.id })}
              onSplit={i > 0 ? () => onSplit(i) : undefined}
            />
          ))}
        </Box>
      )}
    </Box>
  );
}
