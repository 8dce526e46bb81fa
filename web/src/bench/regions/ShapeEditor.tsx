import {
  Box,
  Checkbox,
  FormControlLabel,
  MenuItem,
  MenuList,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import type { ReactNode } from "react";
import type { Look, Part, Shape, ToneBand } from "../../api/client";
import { Scale } from "../../kit/Scale";
import { changePart, put, settle, useBench } from "../store";
import { frameName } from "../words";
import { FrameChooser } from "../recipe/editors";
import { Word } from "../recipe/Word";
import { ToneCurve } from "./ToneCurve";

/** A part's own numbers, drawn from the catalogue, and what only its kind has. */
export function ShapeEditor({ part }: { part: Part }) {
  const kind = useBench((s) => s.partKinds.find((k) => k.kind === part.shape.kind));
  const shape = part.shape;
  const move = (to: Partial<Shape>) =>
    changePart(part.id, (p) => ({ ...p, shape: { ...p.shape, ...to } as Shape }));
  const change = (to: Partial<Shape>) => {
    move(to);
    settle();
  };
  const curve = shape.kind === "tone-band" && shape.tones === "CURVE";
  return (
    <>
      {"look" in shape && (
        <LookLine
          look={shape.look}
          live={shape.kind !== "similar-colour"}
          onPick={(l) => change({ look: l })}
        />
      )}
      {shape.kind === "tone-band" && <Tones band={shape} onChange={change} />}
      {curve && <ToneCurve band={shape} onMove={move} onSettle={settle} />}
      {shape.kind === "burnt-light" && (
        <FrameLine frame={shape.frame} onPick={(frame) => change({ frame })} />
      )}
      {shape.kind === "flash-trouble" && (
        <>
          <FrameLine frame={shape.flash} onPick={(flash) => change({ flash })} />
          <ToggleButtonGroup
            exclusive
            value={shape.trouble}
            aria-label="What the flash does"
            onChange={(_, trouble: typeof shape.trouble | null) => trouble && change({ trouble })}
          >
            <ToggleButton value="HOT_SPOT">hot spots</ToggleButton>
            <ToggleButton value="HARD_SHADOW">hard shadows</ToggleButton>
          </ToggleButtonGroup>
        </>
      )}
      {shape.kind === "other-region" && (
        <RegionLine region={shape.region} what="The region" none="" onPick={(region) => change({ region })} />
      )}
      {shape.kind === "brush" && (
        <RegionLine
          region={shape.limit}
          what="Takes paint in"
          none="the whole picture"
          onPick={(limit) => change({ limit })}
        />
      )}
      {shape.kind === "colour-band" && (
        <Typography variant="caption" component="div">
          {shape.picks.length} picked {shape.picks.length === 1 ? "colour" : "colours"}; with the tool in
          hand, each press picks one more.
        </Typography>
      )}
      {kind?.controls
        .filter((c) => !(curve && (c.name === "exponent" || c.name === "less")))
        .map((c) => (
          <Scale
            key={c.name}
            {...c}
            value={(shape as unknown as Record<string, number>)[c.name]}
            onMove={(v) => {
              put({ moving: false });
              move({ [c.name]: v });
            }}
            onSettle={settle}
          />
        ))}
      {shape.kind === "outline" && (
        <Tick label="Smooth" on={shape.smooth} onChange={(smooth) => change({ smooth })} />
      )}
      {shape.kind === "similar-colour" && (
        <Tick
          label="Only what hangs together"
          on={shape.connected}
          onChange={(connected) => change({ connected })}
        />
      )}
    </>
  );
}

function Tick({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <FormControlLabel
      control={<Checkbox checked={on} onChange={(e) => onChange(e.target.checked)} />}
      label={label}
    />
  );
}

const TONES = { LIGHTS: "Lights", DARKS: "Darks", MIDTONES: "Midtones", CURVE: "Curve" };

function Tones({ band, onChange }: { band: ToneBand; onChange: (to: Partial<ToneBand>) => void }) {
  return (
    <ToggleButtonGroup
      exclusive
      value={band.tones}
      aria-label="Which tones"
      onChange={(_, tones: ToneBand["tones"] | null) =>
        tones &&
        onChange({
          tones,
          curve:
            tones === "CURVE" && band.curve.length < 2
              ? [
                  { x: 0, y: 0 },
                  { x: 0.5, y: 0.5 },
                  { x: 1, y: 1 },
                ]
              : band.curve,
        })
      }
      sx={{ my: 0.5 }}
    >
      {Object.entries(TONES).map(([k, v]) => (
        <ToggleButton key={k} value={k}>
          {v}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}

function Line({ what, children }: { what: string; children: ReactNode }) {
  return (
    <Typography component="div" sx={{ my: 0.25 }}>
      <span style={{ color: "#5c5c5c" }}>{what} </span>
      {children}
    </Typography>
  );
}

function FrameLine({ frame, onPick }: { frame: string; onPick: (id: string) => void }) {
  const frames = useBench((s) => s.sheet!.frames);
  return (
    <Line what="Of">
      <Word
        label="Frame"
        text={frameName(
          frames.find((f) => f.id === frame),
          frames,
        )}
      >
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

/** What the part looks at: the ground, the picture below its pass, or a frame. */
function LookLine({ look, live, onPick }: { look: Look; live: boolean; onPick: (look: Look) => void }) {
  const frames = useBench((s) => s.sheet!.frames);
  const text =
    look.from === "GROUND"
      ? "the ground"
      : look.from === "BELOW"
        ? "the picture below its pass, live"
        : frameName(
            frames.find((f) => f.id === look.frame),
            frames,
          );
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
                {live && <MenuItem onClick={() => take("BELOW")}>the picture below its pass, live</MenuItem>}
              </MenuList>
              <FrameChooser value={look.frame} onPick={(id) => take("FRAME", id)} />
            </Box>
          );
        }}
      </Word>
    </Line>
  );
}

function RegionLine({
  region,
  what,
  none,
  onPick,
}: {
  region: string;
  what: string;
  none: string;
  onPick: (id: string) => void;
}) {
  const own = useBench((s) => s.region);
  const all = useBench((s) => s.recipe!.regions);
  return (
    <Line what={what}>
      <Word label={what} text={all.find((r) => r.id === region)?.name ?? none} tint="region">
        {(close) => (
          <MenuList autoFocus aria-label="Regions">
            {none && (
              <MenuItem
                onClick={() => {
                  onPick("");
                  close();
                }}
              >
                {none}
              </MenuItem>
            )}
            {all
              .filter((r) => r.id !== own)
              .map((r) => (
                <MenuItem
                  key={r.id}
                  onClick={() => {
                    onPick(r.id);
                    close();
                  }}
                >
                  {r.name}
                </MenuItem>
              ))}
          </MenuList>
        )}
      </Word>
    </Line>
  );
}
