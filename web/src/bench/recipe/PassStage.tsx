import { Box, Typography } from "@mui/material";
import { memo, type ReactNode } from "react";
import type { Kind, Region, Shape } from "../../api/client";
import { look } from "../../theme";
import { addPass, addRegion, newPart, useBench, type BenchState } from "../store";
import { carefulValues } from "../words";
import { TransmissionButton } from "../air/Transmission";
import { BoardButton } from "../balance/Board";
import { CastMapButton } from "../balance/CastMap";
import { toldBy } from "../regions/found";
import { HoldBefore } from "./HoldBefore";
import { Lights } from "./Lights";
import { PassCard } from "./PassCard";
import { Propose } from "./Propose";
import { StageButton, StageButtons } from "./StageButton";

/** A section of the recipe. */
export function Stage({
  number,
  name,
  note,
  children,
}: {
  number: string;
  name: string;
  note?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <Box
      component="section"
      aria-label={name}
      id={`stage-${number}`}
      tabIndex={-1}
      sx={{ borderTop: 1, borderColor: "divider", px: 1.75, py: 0.9, scrollMarginTop: 8 }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
        <Typography component="span" sx={{ width: 14, color: look.soft, fontSize: 12 }}>
          {number}
        </Typography>
        <Typography variant="h3" component="h2">
          {name}
        </Typography>
        <Typography variant="body2" component="div" color="text.secondary" sx={{ ml: "auto" }}>
          {note}
        </Typography>
      </Box>
      {children}
    </Box>
  );
}

/** Restores what is burnt, windows left out, from the darkest frame; all of it can be changed. */
function restoreLight(kind: Kind) {
  const { sheet, recipe, partKinds, region } = useBench.getState();
  const frames = sheet!.frames;
  const darkest = [...frames].filter((f) => f.role === "AMBIENT").sort((a, b) => a.stops - b.stops)[0];
  const anchor = frames.find((f) => f.anchor) ?? frames[0];
  const careful = (k: string) => carefulValues(partKinds.find((p) => p.kind === k)?.controls);
  const burnt = (r: Region) => r.parts.some((p) => p.shape.kind === "burnt-light");
  const own = recipe!.regions.find((r) => r.id === region && burnt(r)) ?? recipe!.regions.find(burnt);
  const parts = [
    newPart({ kind: "burnt-light", ...careful("burnt-light"), frame: anchor.id, bloom: 12 } as Shape),
  ];
  if (recipe!.passes.some((p) => p.move.kind === "bring-frame")) {
    parts.push(
      newPart({ kind: "window-finder", ...careful("window-finder"), grow: 6 } as Shape, "TAKE_AWAY"),
    );
  }
  const at = own?.id ?? addRegion("Burnt light", ...parts);
  addPass(kind, at, { frame: darkest?.id ?? anchor.id });
}

/** Adds a pass with what it is careful to begin with. */
function add(kind: Kind) {
  const { sheet, recipe, region } = useBench.getState();
  const frames = sheet!.frames;
  if (kind.kind === "restore-light") {
    restoreLight(kind);
    return;
  }
  if (kind.kind === "clear-casts") {
    addPass(kind, "", { ...toldBy(frames) });
    return;
  }
  const window = frames.find((f) => f.role === "WINDOW") ?? [...frames].sort((a, b) => a.stops - b.stops)[0];
  const anchorId = frames.find((f) => f.anchor)?.id ?? window.id;
  const frame = kind.stage === "Windows" ? window.id : anchorId;
  addPass(kind, kind.asksRegion ? region || (recipe!.regions[0]?.id ?? "") : "", { frame });
}

/** A stage's passes by their ids in the order of the recipe; the same text as long as they are the same. */
function passesOf(s: BenchState, stage: string): string {
  const kinds = s.kinds.filter((k) => k.stage === stage).map((k) => k.kind);
  return s
    .recipe!.passes.filter((p) => kinds.includes(p.move.kind))
    .map((p) => p.id)
    .join(" ");
}

/** One pass; only it is drawn again while one of its controls moves. */
const PassRow = memo(function PassRow({ id }: { id: string }) {
  const pass = useBench((s) => s.recipe!.passes.find((p) => p.id === id));
  const kind = useBench((s) => s.kinds.find((k) => k.kind === pass?.move.kind));
  return pass && kind ? <PassCard pass={pass} kind={kind} /> : null;
});

/** A stage that holds passes: these, and what can be added. */
export const PassStage = memo(function PassStage({ number, name }: { number: string; name: string }) {
  const ids = useBench((s) => passesOf(s, name))
    .split(" ")
    .filter(Boolean);
  return (
    <Stage
      number={number}
      name={name}
      note={ids.length === 0 ? "–" : <HoldBefore of={name} label={`the stage ${name}`} />}
    >
      {ids.map((id) => (
        <PassRow key={id} id={id} />
      ))}
      {name === "Lights" && <Lights />}
      <StageButtons>
        <Propose stage={name} />
        {name === "Tone" && <Propose stage="Low-contrast start" name="Low-contrast start" />}
        {name === "Colour" && <CastMapButton />}
        {name === "Air" && <TransmissionButton />}
        {name === "Balance" && <BoardButton />}
        <AddButtons stage={name} />
      </StageButtons>
    </Stage>
  );
});

/** Adds a pass of any kind that the stage knows and the frames allow. */
function AddButtons({ stage }: { stage: string }) {
  const all = useBench((s) => s.kinds);
  const frames = useBench((s) => s.sheet!.frames.length);
  const used = useBench((s) => [...new Set(s.recipe!.passes.map((p) => p.move.kind))].sort().join(" ")).split(
    " ",
  );
  return all
    .filter((k) => k.stage === stage && k.frames.length < 2)
    .filter((k) => k.frames.length === 0 || k.kind === "clear-casts" || frames > 1)
    .map((k) => (
      <StageButton key={k.kind} onClick={() => add(k)}>
        {used.includes(k.kind) ? `Another: ${k.name.toLowerCase()}` : k.name}
      </StageButton>
    ));
}
