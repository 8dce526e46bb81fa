import { Box, Typography } from "@mui/material";
import { look } from "../../theme";
import { useShallow } from "zustand/react/shallow";
import { useBench, type BenchState } from "../store";
import { bytes, frameName } from "../words";
import { RegionCard } from "../regions/RegionCard";
import { GroundCard } from "./GroundCard";
import { Groups } from "./Groups";
import { PassStage } from "./PassStage";
import { Section } from "./Section";

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

/** How much there is in the recipe. */
function Size() {
  const passes = useBench((s) => s.recipe?.passes.length ?? 0);
  const size = useBench((s) => (s.recipe ? bytes(s.recipe) : ""));
  return (
    <Typography color="text.secondary">
      {passes} {passes === 1 ? "pass" : "passes"} · {size}
    </Typography>
  );
}

/** The recipe, stage by stage in the order of work; what is drawn comes from the catalogue. */
export function RecipePanel() {
  const s = useBench(
    useShallow(({ sheet, recipe, kinds, region }: BenchState) => ({ sheet, kinds, region, there: !!recipe })),
  );
  if (!s.sheet || !s.there) return <Box />;
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
        <Size />
      </Box>
      {s.region && <RegionCard />}
      <Section number="1" name="Frames" note={said}>
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
      </Section>
      <Section number="2" name="Ground">
        <GroundCard />
      </Section>
      {stages.map((stage) => (
        <PassStage key={stage.number} {...stage} />
      ))}
      <Groups />
    </Box>
  );
}
