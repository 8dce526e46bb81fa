import { Box, MenuItem, MenuList, Typography } from "@mui/material";
import type { Ground } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { change, put, settle, useBench } from "../store";
import { frameName } from "../words";
import { FrameChooser } from "./editors";
import { Word } from "./Word";

const COUNT = [
  "no frames",
  "one frame",
  "two frames",
  "three frames",
  "four frames",
  "five frames",
  "six frames",
  "seven frames",
  "eight frames",
  "nine frames",
];

/** The ground as a sentence: an even blend, or one frame. */
export function GroundCard() {
  const sheet = useBench((s) => s.sheet!);
  const ground = useBench((s) => s.recipe!.ground);
  const frames = sheet.frames;
  const anchor = frames.find((f) => f.anchor)!.id;
  const ambient = frames.filter((f) => f.role === "AMBIENT").map((f) => f.id);
  const to = (g: Ground) => change((r) => ({ ...r, ground: g }));
  const name = (id: string) =>
    frameName(
      frames.find((f) => f.id === id),
      frames,
    );
  const kinds = (close: () => void) => (
    <MenuList autoFocus aria-label="Kind of ground">
      <MenuItem
        selected={ground.kind === "even-blend"}
        disabled={ambient.length < 2}
        onClick={() => {
          to({ kind: "even-blend", frames: ambient, calm: 0, towards: anchor });
          settle();
          close();
        }}
      >
        Blend the ambient frames evenly
      </MenuItem>
      <MenuItem
        selected={ground.kind === "one-frame"}
        onClick={() => {
          to({ kind: "one-frame", frame: anchor });
          settle();
          close();
        }}
      >
        Take one frame
      </MenuItem>
    </MenuList>
  );
  if (ground.kind === "one-frame")
    return (
      <Typography component="div" sx={{ pl: "22px" }}>
        <Word text="Take" label="Ground">
          {kinds}
        </Word>{" "}
        <Word text={name(ground.frame)} label="Frame">
          {(close) => (
            <FrameChooser
              value={ground.frame}
              onPick={(frame) => {
                to({ kind: "one-frame", frame });
                settle();
                close();
              }}
            />
          )}
        </Word>{" "}
        as it is.
      </Typography>
    );
  const toggle = (id: string) => {
    const next = ground.frames.includes(id) ? ground.frames.filter((f) => f !== id) : [...ground.frames, id];
    if (next.length === 0) return;
    to({ ...ground, frames: frames.filter((f) => next.includes(f.id)).map((f) => f.id) });
    settle();
  };
  return (
    <Typography component="div" sx={{ pl: "22px" }}>
      <Word text="Blend" label="Ground">
        {kinds}
      </Word>{" "}
      <Word
        text={COUNT[ground.frames.length] ?? `${ground.frames.length} frames`}
        label="Frames of the blend"
      >
        {() => (
          <MenuList autoFocus aria-label="Frames of the blend">
            {frames.map((f) => (
              <MenuItem
                key={f.id}
                role="menuitemcheckbox"
                aria-checked={ground.frames.includes(f.id)}
                onClick={() => toggle(f.id)}
              >
                <span style={{ width: 20 }}>{ground.frames.includes(f.id) ? "✓" : ""}</span>
                <Box component="img" src={`/api/frames/${f.id}/thumb`} alt="" sx={{ width: 54, mr: 1.25 }} />
                {frameName(f, frames)}
              </MenuItem>
            ))}
          </MenuList>
        )}
      </Word>{" "}
      evenly, calmed{" "}
      <Word text={`${Math.round(ground.calm * 100)} %`} label="Calm" tint="amount">
        {() => (
          <Box sx={{ p: 1.5, width: 300 }}>
            <Scale
              label="Calm"
              unit="%"
              from={0}
              to={1}
              step={0.01}
              careful={0}
              help="Mixes the blend back towards one real frame"
              value={ground.calm}
              onMove={(calm) => {
                put({ moving: true });
                to({ ...ground, calm });
              }}
              onSettle={settle}
            />
          </Box>
        )}
      </Word>{" "}
      towards{" "}
      <Word text={name(ground.towards)} label="Calm towards">
        {(close) => (
          <FrameChooser
            value={ground.towards}
            onPick={(towards) => {
              to({ ...ground, towards });
              settle();
              close();
            }}
          />
        )}
      </Word>
      .
    </Typography>
  );
}
