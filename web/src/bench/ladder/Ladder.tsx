import { Box, Tooltip, Typography } from "@mui/material";
import type { Frame } from "../../api/types";
import { useCarry } from "../../kit/drag";
import { look } from "../../theme";
import { frameName, step } from "../frames";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { showAlone, useViewport } from "../state/viewport";

const TOP = 34;
const AMBIENT_HIGH = 33;
const OTHER_HIGH = 30;

interface Placed {
  frame: Frame;
  left: boolean;
  y: number;
}

/** Where each frame stands: by exposure, moved down just enough not to cover another on its side. */
function place(
  frames: Frame[],
  height: number,
): { placed: Placed[]; y: (stops: number) => number; rungs: number[] } {
  const anchor = frames.find((f) => f.anchor)?.stops ?? 0;
  const rel = frames.map((f) => f.stops - anchor);
  const high = Math.ceil(Math.max(...rel, 2));
  const low = Math.floor(Math.min(...rel, -2));
  const y = (s: number) => TOP + 18 + ((high - s) / Math.max(1, high - low)) * (height - TOP - 70);
  const rungs: number[] = [];
  for (let s = high; s >= low; s -= 1) rungs.push(s);
  const ends = { true: -100, false: -100 };
  const placed = frames
    .map((frame, i) => ({
      frame,
      left: frame.role === "AMBIENT" || frame.role === "LAMPS_OFF",
      s: rel[i] ?? 0,
    }))
    .sort((a, b) => b.s - a.s)
    .map(({ frame, left, s }) => {
      const h = left ? AMBIENT_HIGH : OTHER_HIGH;
      const key = String(left) as "true" | "false";
      const at = Math.max(y(s) - h / 2, ends[key] + 4);
      ends[key] = at + h;
      return { frame, left, y: at };
    });
  return { placed, y, rungs };
}

/** The view's frames by exposure: ambient left of the scale, flash and window right. */
export function Ladder() {
  const sheet = useView((s) => s.sheet);
  const height = useViewport((s) => s.stage.height) + 58;
  if (!sheet) return <Box />;
  const { placed, y, rungs } = place(sheet.frames, Math.max(300, height));
  return (
    <Box
      sx={{
        position: "relative",
        bgcolor: look.card,
        borderRight: 1,
        borderColor: "divider",
        overflow: "hidden",
      }}
      role="group"
      aria-label="Ladder of frames"
    >
      <Typography
        sx={{ position: "absolute", top: 8, left: 10, fontSize: 11, fontWeight: 600, color: look.soft }}
      >
        Ladder · stops
      </Typography>
      <Box
        sx={{ position: "absolute", left: 64, top: TOP, bottom: 14, borderLeft: `1px solid ${look.strong}` }}
      />
      {rungs.map((s) => (
        <Box
          key={s}
          sx={{
            position: "absolute",
            left: s % 2 ? 61 : 54,
            width: s % 2 ? 7 : 21,
            top: y(s) - 6,
            height: 12,
            textAlign: "center",
            bgcolor: s % 2 ? "transparent" : look.card,
            fontSize: 10,
            lineHeight: "12px",
            color: look.soft,
          }}
        >
          {s % 2 ? (
            <Box sx={{ borderTop: `1px solid ${look.strong}`, mt: "6px" }} />
          ) : (
            (s > 0 ? "+" : s < 0 ? "−" : "") + Math.abs(s)
          )}
        </Box>
      ))}
      {placed.map((p) => (
        <Rung key={p.frame.id} {...p} frames={sheet.frames} />
      ))}
    </Box>
  );
}

/** One frame: shown alone by a press, taken over to the picture by a drag. */
function Rung({ frame, left, y: top, frames }: Placed & { frames: Frame[] }) {
  const alone = useViewport((s) => s.alone === frame.id);
  const used = useHistory((s) => s.saved.frames.includes(frame.id));
  const [attach, carry] = useCarry(`frame ${frame.id}`, { frame: frame.id });
  const name = frameName(frame.id, frames);
  const burnt = (100 * frame.burnt).toFixed(1);
  const blocked = (100 * frame.blocked).toFixed(1);
  return (
    <Tooltip
      placement="right"
      title={`${name} · ${frame.name} · burnt ${burnt} %, blocked ${blocked} %${frame.stopsKnown ? "" : " · exposure estimated"}${frame.sure ? "" : " · could not be lined up"}`}
    >
      <Box
        component="button"
        ref={attach}
        {...carry}
        onClick={() => showAlone(frame.id)}
        aria-label={`${name} alone`}
        aria-pressed={alone}
        data-step={step(frame, frames)}
        sx={{
          position: "absolute",
          left: left ? 5 : 76,
          top,
          width: left ? 48 : 32,
          height: left ? AMBIENT_HIGH : OTHER_HIGH,
          p: 0,
          border: `1px solid ${frame.sure ? look.strong : look.alarm}`,
          outline: alone ? `2px solid ${look.amber}` : "none",
          opacity: used ? 1 : 0.62,
          overflow: "hidden",
          cursor: "pointer",
          bgcolor: look.ink,
        }}
      >
        <img
          src={`/api/frames/${frame.id}/thumb`}
          alt=""
          style={{ width: "100%", height: "100%", objectFit: "cover", display: "block" }}
        />
        {frame.anchor && (
          <Box
            sx={{
              position: "absolute",
              left: 2,
              top: 2,
              width: 7,
              height: 7,
              bgcolor: look.white,
              border: `1px solid ${look.ink}`,
            }}
          />
        )}
        <Box
          sx={{
            position: "absolute",
            left: 0,
            right: 0,
            bottom: 0,
            height: 3,
            bgcolor: "rgba(0,0,0,.35)",
          }}
        />
        <Box
          sx={{
            position: "absolute",
            right: 0,
            bottom: 0,
            height: 3,
            width: `${100 * frame.burnt}%`,
            background: "repeating-linear-gradient(45deg,#fff 0 2px,#222 2px 4px)",
          }}
        />
        <Box
          sx={{
            position: "absolute",
            left: 0,
            bottom: 0,
            height: 3,
            width: `${100 * frame.blocked}%`,
            background: "repeating-linear-gradient(-45deg,#888 0 2px,#000 2px 4px)",
          }}
        />
      </Box>
    </Tooltip>
  );
}
