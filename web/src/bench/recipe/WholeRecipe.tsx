import { Box, Button, Typography } from "@mui/material";
import { Link } from "react-router";
import { useShallow } from "zustand/react/shallow";
import type { Recipe } from "../../api/types";
import { recipe as now, useHistory } from "../state/history";
import { openStage, STAGES } from "../state/rail";
import { kindOf, useView } from "../state/view";
import { count } from "../words";
import { LinedUp } from "./FramesStage";
import { GroundCard } from "./GroundCard";
import { Groups } from "./Groups";
import { PassRow } from "./PassRow";
import { Section } from "./Section";

/** A run of passes that follow one another in the recipe and belong to one stage. */
interface Run {
  stage: string;
  passes: string[];
}

/** The passes in the order in which they work, cut where the stage changes. */
function runs(recipe: Recipe | undefined): Run[] {
  const out: Run[] = [];
  for (const pass of recipe?.passes ?? []) {
    const stage = kindOf(pass)?.stage ?? "";
    const last = out.at(-1);
    if (last?.stage === stage) last.passes.push(pass.id);
    else out.push({ stage, passes: [pass.id] });
  }
  return out;
}

/** All that was done to the picture, to be read aloud and reordered by dragging. */
export function WholeRecipe() {
  const kinds = useView((s) => s.kinds);
  const view = useView((s) => s.sheet?.id);
  const ids = useHistory(useShallow((s) => s.recipe?.passes.map((p) => p.id) ?? []));
  return (
    <>
      <Section name="Whole recipe" note={count(ids.length, "pass", "passes")}>
        <LinedUp />
        {view && ids.length > 0 && (
          <Button component={Link} to={`/views/${view}/carry`} sx={{ mt: 0.75 }}>
            Carry over to other views
          </Button>
        )}
      </Section>
      <Section name="Ground">
        <GroundCard />
      </Section>
      {runs(now()).map((run) => (
        <Section key={run.passes[0]} name={run.stage}>
          {run.passes.map((id) => (
            <PassRow key={id} id={id} movable />
          ))}
        </Section>
      ))}
      <Groups />
      {ids.length === 0 && (
        <Box sx={{ px: 1.5, py: 1 }}>
          <Typography color="text.secondary">No passes yet. Open a stage and add one:</Typography>
          {STAGES.filter((s) => s.passes && kinds.some((k) => k.stage === s.name)).map((s) => (
            <Box
              key={s.name}
              component="button"
              onClick={() => openStage(s.name)}
              sx={{
                font: "inherit",
                border: 0,
                bgcolor: "transparent",
                textDecoration: "underline",
                p: 0.5,
              }}
            >
              {s.name}
            </Box>
          ))}
        </Box>
      )}
    </>
  );
}
