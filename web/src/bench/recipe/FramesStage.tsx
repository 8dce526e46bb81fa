import { Box, Typography } from "@mui/material";
import type { Frame } from "../../api/types";
import { look } from "../../theme";
import { frameName } from "../frames";
import { useView } from "../state/view";
import { showAlone } from "../state/viewport";
import { FrameThumb } from "./choosers";
import { Section } from "./Section";

const ROLES = [
  ["AMBIENT", "ambient"],
  ["FLASH", "flash"],
  ["WINDOW", "window"],
  ["LAMPS_OFF", "lamps off"],
] as const;

/** By how much a frame was moved onto the anchor, pixels at full size. */
const moved = (f: Frame) => Math.hypot(f.movedX, f.movedY);

/** The frames of the view, and how well they are lined up. */
export function FramesStage() {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const said = ROLES.map(([role, word]) => [frames.filter((f) => f.role === role).length, word] as const)
    .filter(([n]) => n > 0)
    .map(([n, word]) => `${n} ${word}`)
    .join(", ");
  return (
    <Section name="Frames" note={said}>
      <LinedUp />
      {frames.map((f) => (
        <Box
          key={f.id}
          component="button"
          onClick={() => showAlone(f.id)}
          sx={{
            font: "inherit",
            display: "flex",
            width: "100%",
            alignItems: "center",
            textAlign: "left",
            border: 0,
            borderTop: `1px solid ${look.line}`,
            bgcolor: "transparent",
            p: "4px 0",
            cursor: "pointer",
          }}
        >
          <FrameThumb id={f.id} />
          <span>
            {frameName(f.id, frames)}
            {f.anchor ? ", the anchor" : ""}
            <Typography variant="caption" component="div" sx={{ color: f.sure ? look.soft : look.alarm }}>
              {f.name} · {f.sure ? `moved ${moved(f).toFixed(2)} px` : "not lined up"}
            </Typography>
          </span>
        </Box>
      ))}
    </Section>
  );
}

/** One line on how the frames were lined up. */
export function LinedUp() {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const anchor = frames.find((f) => f.anchor)?.id ?? "";
  const lost = frames.filter((f) => !f.sure);
  return (
    <Typography component="div" sx={{ mb: 0.75 }}>
      {frames.length === 1
        ? "A single frame."
        : `Lined up to ${frameName(anchor, frames)}, most moved ${Math.max(...frames.map(moved)).toFixed(2)} px.`}
      {lost.length > 0 && (
        <span style={{ color: look.alarm }}> Could not line up {lost.map((f) => f.name).join(", ")}.</span>
      )}
    </Typography>
  );
}
