import { Box, Button, Checkbox, FormControlLabel, MenuItem, MenuList, Typography } from "@mui/material";
import { useState } from "react";
import { useQuery } from "@tanstack/react-query";
import { ask, type Control, type EvenBlend, type Ground, type Point, type Thing } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { firstShape } from "../regions/found";
import { addRegion, change, newPart, put, settle, useBench } from "../store";
import { carefulValues, frameName } from "../words";
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

/** The ground as a sentence: an even blend, a radiance merge, or one frame. */
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
  const numbers = useBench((s) => s.groundKinds);
  const several = { frames: ground.kind === "one-frame" ? ambient : ground.frames, towards: anchor };
  const careful = (kind: Ground["kind"]) => ({
    kind,
    ...carefulValues(numbers.find((k) => k.kind === kind)?.controls),
  });
  const [open, setOpen] = useState(false);
  const kinds = (close: () => void) => (
    <MenuList autoFocus aria-label="Kind of ground">
      <MenuItem
        selected={ground.kind === "even-blend"}
        disabled={ambient.length < 2}
        onClick={() => {
          to({ ...careful("even-blend"), ...several, oneWhereMoving: true, chosen: [] } as unknown as Ground);
          settle();
          close();
        }}
      >
        Blend the ambient frames evenly
      </MenuItem>
      <MenuItem
        selected={ground.kind === "radiance-merge"}
        disabled={ambient.length < 2}
        onClick={() => {
          to({ ...careful("radiance-merge"), ...several } as Ground);
          settle();
          close();
        }}
      >
        Merge the ambient frames to their light
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
  const even = ground.kind === "even-blend";
  const controls = numbers.find((k) => k.kind === ground.kind)?.controls ?? [];
  const scale = (control: Control) => (
    <Scale
      key={control.name}
      {...control}
      value={(ground as unknown as Record<string, number>)[control.name]}
      onMove={(v) => {
        put({ moving: true });
        to({ ...ground, [control.name]: v });
      }}
      onSettle={settle}
    />
  );
  const calm = controls.find((c) => c.name === "calm");
  return (
    <Box sx={{ pl: "22px" }}>
      <Typography component="div">
        <Word text={even ? "Blend" : "Merge"} label="Ground">
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
                  <Box
                    component="img"
                    src={`/api/frames/${f.id}/thumb`}
                    alt=""
                    sx={{ width: 54, mr: 1.25 }}
                  />
                  {frameName(f, frames)}
                </MenuItem>
              ))}
            </MenuList>
          )}
        </Word>{" "}
        {even ? "evenly" : "to their light"}, calmed{" "}
        <Word text={`${Math.round(ground.calm * 100)} %`} label="Calm" tint="amount">
          {() => <Box sx={{ p: 1.5, width: 300 }}>{calm && scale(calm)}</Box>}
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
      <Button
        onClick={() => setOpen(!open)}
        aria-expanded={open}
        sx={{ mt: 0.5, px: 1, py: 0.1, fontSize: 12 }}
      >
        {even ? "Weights and movement" : "Exposure and compression"}
      </Button>
      {open && (
        <Box sx={{ mt: 0.5 }}>
          {controls.filter((c) => c.name !== "calm").map(scale)}
          {even && (
            <FormControlLabel
              control={
                <Checkbox
                  checked={ground.oneWhereMoving}
                  onChange={(e) => {
                    to({ ...ground, oneWhereMoving: e.target.checked });
                    settle();
                  }}
                />
              }
              label="Moving things from one frame each"
            />
          )}
          {even && ground.oneWhereMoving && <MovingThings ground={ground} />}
        </Box>
      )}
    </Box>
  );
}

/** Each moving thing with the frame that it is taken from; another can be chosen. */
function MovingThings({ ground }: { ground: EvenBlend }) {
  const size = useBench((s) => s.sheet!);
  const view = size.id;
  const frames = size.frames;
  const regions = useBench((s) => s.recipe!.regions);
  const things = useQuery({
    queryKey: ["moving", view, ground],
    queryFn: () =>
      ask<Thing[]>(`/api/views/${view}/moving`, {
        method: "POST",
        body: { ground, regions: [], passes: [], groups: [] },
      }),
    placeholderData: (before) => before,
  });
  const choose = (thing: Thing, frame: string) => {
    const chosen = [
      ...ground.chosen.filter((c) => c.at.x !== thing.at.x || c.at.y !== thing.at.y),
      { at: thing.at, frame },
    ];
    change((r) => ({ ...r, ground: { ...ground, chosen } }));
    settle();
  };
  const shown = regions.some((r) => r.parts.some((p) => p.shape.kind === "moving"));
  const all = things.data ?? [];
  return (
    <Box aria-label="Moving things" role="group" sx={{ mt: 0.5 }}>
      {things.data && all.length === 0 && <Typography color="text.secondary">Nothing moved.</Typography>}
      {all.slice(0, 8).map((t, i) => (
        <Typography key={`${t.at.x} ${t.at.y}`} component="div">
          {i + 1}. {placed(t.at, size)}, {(100 * t.share).toFixed(t.share < 0.01 ? 2 : 1)} %, from{" "}
          <Word
            label={`Frame of moving thing ${i + 1}`}
            text={frameName(
              frames.find((f) => f.id === t.frame),
              frames,
            )}
          >
            {(close) => (
              <FrameChooser
                value={t.frame}
                among={ground.frames}
                onPick={(frame) => {
                  choose(t, frame);
                  close();
                }}
              />
            )}
          </Word>
        </Typography>
      ))}
      {all.length > 8 && <Typography color="text.secondary">and {all.length - 8} smaller ones</Typography>}
      {!shown && all.length > 0 && (
        <Button
          onClick={() => {
            addRegion("Moving things", newPart(firstShape("moving")!));
            settle();
          }}
          sx={{ mt: 0.5, px: 1, py: 0.1, fontSize: 12 }}
        >
          Show as a region
        </Button>
      )}
    </Box>
  );
}

/** Where in the picture a place lies, in words. */
function placed(at: Point, { width, height }: { width: number; height: number }): string {
  const long = Math.max(width, height);
  const third = (v: number, names: [string, string, string]) => names[Math.min(2, Math.floor(v * 3))];
  const across = third((at.x * long) / width, ["left", "middle", "right"]);
  const down = third((at.y * long) / height, ["upper", "", "lower"]);
  return [down, across].filter(Boolean).join(" ");
}
