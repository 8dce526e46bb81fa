import { Box, MenuItem, MenuList, Typography } from "@mui/material";
import type { Control, Ground, SeveralFrames as Several } from "../../api/types";
import { Scale } from "../../kit/Scale";
import { Tick } from "../../kit/Tick";
import { frameName } from "../frames";
import { defaultsOf } from "../parts/part";
import { move, settle } from "../state/gesture";
import { edit, useHistory } from "../state/history";
import { useView } from "../state/view";
import { FrameChooser, FrameThumb } from "./choosers";
import { MovingThings } from "./MovingThings";
import { Word } from "./Word";

const COUNT = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"];
const EVEN = "even-blend";
const MERGE = "radiance-merge";

/** Another ground on screen; {@link settle} makes it a step. */
function put(ground: Ground) {
  edit((r) => void (r.ground = ground));
}

function set(ground: Ground) {
  put(ground);
  settle();
}

/** The ground as a sentence: an even blend, a radiance merge, or one frame. */
export function GroundCard({
  open = false,
}: {
  /** Whether all its controls are there, not its sentence alone. */
  open?: boolean;
}) {
  const ground = useHistory((s) => s.recipe?.ground);
  if (!ground) return null;
  if (ground.kind === "one-frame") return <OneFrame frame={ground.frame} />;
  return <SeveralFrames ground={ground} open={open} />;
}

/** The word that changes the kind of ground. */
function KindWord({ ground, text }: { ground: Ground; text: string }) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const numbers = useView((s) => s.groundKinds);
  const anchor = frames.find((f) => f.anchor)?.id ?? "";
  const ambient = frames.filter((f) => f.role === "AMBIENT").map((f) => f.id);
  const several = {
    frames: ground.kind === "one-frame" ? ambient : ground.frames,
    oneWhereMoving: true,
    chosen: [],
    towards: anchor,
  };
  const begin: Record<Ground["kind"], { name: string; ground: () => object }> = {
    [EVEN]: {
      name: "Blend the ambient frames evenly",
      ground: () => ({ ...defaultsOf(numbers, EVEN), ...several }),
    },
    [MERGE]: {
      name: "Merge the ambient frames into one high-range picture",
      ground: () => ({ ...defaultsOf(numbers, MERGE), ...several }),
    },
    "one-frame": { name: "Take one frame", ground: () => ({ frame: anchor }) },
  };
  return (
    <Word text={text} label="Ground">
      {(close) => (
        <MenuList autoFocus aria-label="Kind of ground">
          {(Object.keys(begin) as Ground["kind"][]).map((kind) => (
            <MenuItem
              key={kind}
              selected={ground.kind === kind}
              disabled={kind !== "one-frame" && ambient.length < 2}
              onClick={() => {
                set({ kind, ...begin[kind].ground() } as Ground);
                close();
              }}
            >
              {begin[kind].name}
            </MenuItem>
          ))}
        </MenuList>
      )}
    </Word>
  );
}

/** A word that is a frame. */
function FrameWord({ label, id, onPick }: { label: string; id: string; onPick: (id: string) => void }) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  return (
    <Word text={frameName(id, frames)} label={label}>
      {(close) => (
        <FrameChooser
          value={id}
          onPick={(frame) => {
            onPick(frame);
            close();
          }}
        />
      )}
    </Word>
  );
}

function OneFrame({ frame }: { frame: string }) {
  return (
    <Typography component="div">
      <KindWord ground={{ kind: "one-frame", frame }} text="Take" />{" "}
      <FrameWord label="Frame" id={frame} onPick={(f) => set({ kind: "one-frame", frame: f })} /> as it is.
    </Typography>
  );
}

function GroundScale({ ground, control }: { ground: Several; control: Control }) {
  return (
    <Scale
      {...control}
      value={(ground as unknown as Record<string, number>)[control.name] ?? control.defaultValue}
      onMove={(v) => {
        move("");
        put({ ...ground, [control.name]: v });
      }}
      onSettle={settle}
    />
  );
}

function SeveralFrames({ ground, open }: { ground: Several; open: boolean }) {
  const controls = useView((s) => s.groundKinds.find((k) => k.kind === ground.kind)?.controls) ?? [];
  const even = ground.kind === EVEN;
  const calm = controls.find((c) => c.name === "calm");
  const n = ground.frames.length;
  return (
    <Box>
      <Typography component="div">
        <KindWord ground={ground} text={even ? "Blend" : "Merge"} />{" "}
        <Word text={`${COUNT[n] ?? n} ${n === 1 ? "frame" : "frames"}`} label="Frames of the blend">
          {() => <BlendFrames ground={ground} />}
        </Word>
        {even ? "" : " into one high-range picture"}, with{" "}
        <Word text={`${Math.round(ground.calm * 100)} %`} label="Calm" tint="amount">
          {() => (
            <Box sx={{ p: 1.5, width: 300 }}>{calm && <GroundScale ground={ground} control={calm} />}</Box>
          )}
        </Word>{" "}
        of{" "}
        <FrameWord
          label="Calm towards"
          id={ground.towards}
          onPick={(towards) => set({ ...ground, towards })}
        />{" "}
        mixed back in.
      </Typography>
      {open && (
        <Box sx={{ mt: 0.5 }}>
          {controls
            .filter((c) => c.name !== "calm")
            .map((c) => (
              <GroundScale key={c.name} ground={ground} control={c} />
            ))}
          <Tick
            label="Take each moving object from one frame"
            on={ground.oneWhereMoving}
            onChange={(oneWhereMoving) => set({ ...ground, oneWhereMoving })}
          />
          {ground.oneWhereMoving && <MovingThings ground={ground} />}
        </Box>
      )}
    </Box>
  );
}

/** Ticks the frames of a blend on and off; the last one stays. */
function BlendFrames({ ground }: { ground: Several }) {
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const has = (id: string) => ground.frames.includes(id);
  const toggle = (id: string) => {
    const next = frames.filter((f) => (f.id === id ? !has(id) : has(f.id))).map((f) => f.id);
    if (next.length > 0) set({ ...ground, frames: next });
  };
  return (
    <MenuList autoFocus aria-label="Frames of the blend">
      {frames.map((f) => (
        <MenuItem key={f.id} role="menuitemcheckbox" aria-checked={has(f.id)} onClick={() => toggle(f.id)}>
          <span style={{ width: 20 }}>{has(f.id) ? "✓" : ""}</span>
          <FrameThumb id={f.id} />
          {frameName(f.id, frames)}
        </MenuItem>
      ))}
    </MenuList>
  );
}
