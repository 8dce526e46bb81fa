import { Typography } from "@mui/material";
import type { ComponentType } from "react";
import { useShallow } from "zustand/react/shallow";
import type { Kind, Recipe } from "../../api/types";
import { HazeMapButton } from "../air/HazeMap";
import { BoardButton } from "../balance/Board";
import { CastMapButton } from "../balance/CastMap";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { SpecksButton } from "../specks/Specks";
import { AddMenu } from "./AddMenu";
import { HoldBefore } from "./HoldBefore";
import { LightsThatCannot } from "./Lights";
import { PassRow } from "./PassRow";
import { Propose } from "./Propose";
import { Section } from "./Section";
import { StageButtons } from "./StageButton";

/** What helps with a stage beside its passes. */
const HELPERS: Record<string, ComponentType> = {
  Lights: LightsThatCannot,
  Tone: () => <Propose stage="Low-contrast start" name="Low-contrast start" />,
  Colour: CastMapButton,
  Air: HazeMapButton,
  Balance: BoardButton,
  Mend: SpecksButton,
};

/** A stage's passes by their ids, in the order of the recipe. */
function passesOf(recipe: Recipe | undefined, kinds: Kind[], stage: string): string[] {
  const own = kinds.filter((k) => k.stage === stage).map((k) => k.kind);
  return (recipe?.passes ?? []).filter((p) => own.includes(p.move.kind)).map((p) => p.id);
}

/** A stage that holds passes: what can be added, what helps, and its passes as sentences. */
export function PassStage({ name }: { name: string }) {
  const kinds = useView((s) => s.kinds);
  const ids = useHistory(useShallow((s) => passesOf(s.recipe, kinds, name)));
  const Helper = HELPERS[name];
  return (
    <Section name={name} note={ids.length > 0 && <HoldBefore of={name} label={`the stage ${name}`} />}>
      <StageButtons>
        <AddMenu name="Add …" label={`Add to ${name}`} stage={name} />
        <Propose stage={name} />
        {Helper && <Helper />}
      </StageButtons>
      {ids.length === 0 && (
        <Typography color="text.secondary" sx={{ mt: 0.75 }}>
          Nothing done here yet.
        </Typography>
      )}
      {ids.map((id) => (
        <PassRow key={id} id={id} />
      ))}
    </Section>
  );
}
