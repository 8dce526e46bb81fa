import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import type { Kind, Region, Shape } from "../../api/client";
import { look } from "../../theme";
import { useShallow } from "zustand/react/shallow";
import { addPass, addRegion, newPart, useBench, type BenchState } from "../store";
import { bytes, carefulValues, frameName } from "../words";
import { TransmissionButton } from "../air/Transmission";
import { BoardButton } from "../balance/Board";
import { CastMapButton } from "../balance/CastMap";
import { toldBy } from "../regions/found";
import { GroundCard } from "./GroundCard";
import { Groups } from "./Groups";
import { Lights } from "./Lights";
import { HoldBefore } from "./HoldBefore";
import { Propose } from "./Propose";
import { StageButton, StageButtons } from "./StageButton";
import { PassCard } from "./PassCard";
import { RegionCard } from "../regions/RegionCard";

function Stage({
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

/** The stages that hold passes, with their keys. */
const STAGES = [
  { number: "3", name: "Windows" },
  { number: "4", name: "Lights" },
  { number: "5", name: "Tone" },
  { number: "6", name: "Colour" },
  { number: "7", name: "Air" },
  { number: "8", name: "Balance" },
  { number: "9", name: "Mend" },
  { number: "0", name: "Finish" },
];

/** The recipe, stage by stage in the order of work; what is drawn comes from the catalogue. */
export function RecipePanel() {
  const s = useBench(
    useShallow(({ sheet, recipe, kinds, region }: BenchState) => ({ sheet, recipe, kinds, region })),
  );
  if (!s.sheet || !s.recipe) return <Box />;
  const frames = s.sheet.frames;
  const count = (role: string) => frames.filter((f) => f.role === role).length;
  const said = [
    [count("AMBIENT"), "ambient"],
    [count("FLASH"), "flash"],
    [count("WINDOW"), "window"],
    [count("LAMPS_OFF"), "lamps off"],
  ]
    .filter(([n]) => n)
    .map(([n, w]) => `${n} ${w}`)
    .join(", ");
  const anchor = frames.find((f) => f.anchor);
  const moved = Math.max(...frames.map((f) => Math.hypot(f.movedX, f.movedY)));
  const lost = frames.filter((f) => !f.sure);
  const stages = STAGES.filter((stage) => s.kinds.some((k) => k.stage === stage.name));
  const add = (kind: Kind) => {
    if (kind.kind === "restore-light") {
      restoreLight(kind);
      return;
    }
    if (kind.kind === "clear-casts") {
      addPass(kind, "", { ...toldBy(frames) });
      return;
    }
    const window =
      frames.find((f) => f.role === "WINDOW") ?? [...frames].sort((a, b) => a.stops - b.stops)[0];
    const anchorId = frames.find((f) => f.anchor)?.id ?? window.id;
    const frame = kind.stage === "Windows" ? window.id : anchorId;
    addPass(kind, kind.asksRegion ? s.region || (s.recipe!.regions[0]?.id ?? "") : "", { frame });
  };
  return (
    <Box
      sx={{ borderLeft: 1, borderColor: "divider", bgcolor: look.paper, overflowY: "auto", minHeight: 0 }}
      role="region"
      aria-label="Recipe"
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "baseline", px: 1.75, py: 1 }}>
        <Typography variant="h2" component="h1">
          Recipe
        </Typography>
        <Typography color="text.secondary">
          {s.recipe.passes.length} {s.recipe.passes.length === 1 ? "pass" : "passes"} · {bytes(s.recipe)}
        </Typography>
      </Box>
      {s.region && <RegionCard />}
      <Stage number="1" name="Frames" note={said}>
        <Typography sx={{ pl: "22px" }}>
          {frames.length === 1
            ? "A single frame."
            : `Lined up to ${frameName(anchor, frames)}, most moved ${moved.toFixed(2)} px.`}
          {lost.length > 0 && (
            <span style={{ color: look.alarm }}>
              {" "}
              Could not line up {lost.map((f) => f.name).join(", ")}.
            </span>
          )}
        </Typography>
      </Stage>
      <Stage number="2" name="Ground">
        <GroundCard />
      </Stage>
      {stages.map((stage) => {
        const kinds = s.kinds.filter((k) => k.stage === stage.name);
        const passes = s.recipe!.passes.filter((p) => kinds.some((k) => k.kind === p.move.kind));
        return (
          <Stage
            key={stage.number}
            {...stage}
            note={
              passes.length === 0 ? "–" : <HoldBefore of={stage.name} label={`the stage ${stage.name}`} />
            }
          >
            {passes.map((p) => (
              <PassCard key={p.id} pass={p} kind={kinds.find((k) => k.kind === p.move.kind)!} />
            ))}
            {stage.name === "Lights" && <Lights />}
            <StageButtons>
              <Propose stage={stage.name} />
              {stage.name === "Tone" && <Propose stage="Low-contrast start" name="Low-contrast start" />}
              {stage.name === "Colour" && <CastMapButton />}
              {stage.name === "Air" && <TransmissionButton />}
              {stage.name === "Balance" && <BoardButton />}
              {kinds
                .filter((k) => k.frames.length < 2)
                .filter((k) => k.frames.length === 0 || k.kind === "clear-casts" || frames.length > 1)
                .map((k) => (
                  <StageButton key={k.kind} onClick={() => add(k)}>
                    {passes.some((p) => p.move.kind === k.kind) ? `Another: ${k.name.toLowerCase()}` : k.name}
                  </StageButton>
                ))}
            </StageButtons>
          </Stage>
        );
      })}
      <Groups />
    </Box>
  );
}
