import { Box } from "@mui/material";
import { look } from "../../theme";
import { CropSection } from "../crop/CropSection";
import { RegionSheet } from "../regions/RegionSheet";
import { useHistory } from "../state/history";
import { useRail, WHOLE } from "../state/rail";
import { useView } from "../state/view";
import { FramesStage } from "./FramesStage";
import { GroundCard } from "./GroundCard";
import { PassStage } from "./PassStage";
import { Rail } from "./Rail";
import { Section } from "./Section";
import { WholeRecipe } from "./WholeRecipe";

/** The recipe: the rail of its stages, and the one that is open; a region's sheet lies over it. */
export function RecipePanel() {
  const sheet = useView((s) => s.sheet);
  const there = useHistory((s) => !!s.recipe);
  return (
    <Box
      role="region"
      aria-label="Recipe"
      sx={{
        borderLeft: 1,
        borderColor: "divider",
        bgcolor: look.paper,
        minHeight: 0,
        position: "relative",
        display: "grid",
        gridTemplateColumns: "68px minmax(0, 1fr)",
        gridTemplateRows: "minmax(0, 1fr)",
      }}
    >
      <Rail />
      <Box
        id="stage"
        role="tabpanel"
        tabIndex={-1}
        sx={{ overflowY: "auto", minHeight: 0, position: "relative", outline: "none" }}
      >
        {sheet && there && <OpenStage />}
      </Box>
      <RegionSheet />
    </Box>
  );
}

function OpenStage() {
  const stage = useRail((s) => s.stage);
  if (stage === WHOLE) return <WholeRecipe />;
  if (stage === "Frames") return <FramesStage />;
  if (stage === "Ground")
    return (
      <Section name="Ground">
        <GroundCard open />
      </Section>
    );
  return (
    <>
      <PassStage key={stage} name={stage} />
      {stage === "Finish" && <CropSection />}
    </>
  );
}
