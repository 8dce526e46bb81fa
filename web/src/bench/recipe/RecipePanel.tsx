import { Box, Typography } from "@mui/material";
import { look } from "../../theme";
import { frameName } from "../frames";
import { useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { bytes, count } from "../words";
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
  const passes = useHistory((s) => s.recipe?.passes.length ?? 0);
  const size = useHistory((s) => (s.settled ? bytes(s.settled) : ""));
  return (
    <Typography color="text.secondary">
      {count(passes, "pass", "passes")} · {size}
    </Typography>
  );
}

/** The recipe, stage by stage in the order of work; what is drawn comes from the catalogue. */
export function RecipePanel() {
  const sheet = useView((s) => s.sheet);
  const kinds = useView((s) => s.kinds);
  const there = useHistory((s) => !!s.recipe);
  const region = useHand((s) => s.region);
  if (!sheet || !there) return <Box />;
  const frames = sheet.frames;
  const number = (role: string) => frames.filter((f) => f.role === role).length;
  const said = [
    [number("AMBIENT"), "ambient"],
    [number("FLASH"), "flash"],
    [number("WINDOW"), "window"],
    [number("LAMPS_OFF"), "lamps off"],
  ]
    .filter(([n]) => n)
    .map(([n, w]) => `${n} ${w}`)
    .join(", ");
  const anchor = frames.find((f) => f.anchor)?.id ?? "";
  const moved = Math.max(...frames.map((f) => Math.hypot(f.movedX, f.movedY)));
  const lost = frames.filter((f) => !f.sure);
  const stages = STAGES.filter((stage) => kinds.some((k) => k.stage === stage.name));
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
      {region && <RegionCard />}
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
