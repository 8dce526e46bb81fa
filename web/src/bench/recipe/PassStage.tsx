import { memo, type ComponentType } from "react";
import { useShallow } from "zustand/react/shallow";
import type { Kind, Recipe } from "../../api/types";
import { HazeMapButton } from "../air/HazeMap";
import { BoardButton } from "../balance/Board";
import { CastMapButton } from "../balance/CastMap";
import { add } from "../passes";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { HoldBefore } from "./HoldBefore";
import { Lights } from "./Lights";
import { PassCard } from "./PassCard";
import { Propose } from "./Propose";
import { Section } from "./Section";
import { StageButton, StageButtons } from "./StageButton";

/** What helps with a stage beside its passes. */
const HELPERS: Record<string, ComponentType> = {
  Tone: () => <Propose stage="Low-contrast start" name="Low-contrast start" />,
  Colour: CastMapButton,
  Air: HazeMapButton,
  Balance: BoardButton,
};

/** A stage's passes by their ids, in the order of the recipe. */
function passesOf(recipe: Recipe | undefined, kinds: Kind[], stage: string): string[] {
  const own = kinds.filter((k) => k.stage === stage).map((k) => k.kind);
  return (recipe?.passes ?? []).filter((p) => own.includes(p.move.kind)).map((p) => p.id);
}

/** One pass; only it is drawn again while one of its controls moves. */
const PassRow = memo(function PassRow({ id }: { id: string }) {
  const pass = useHistory((s) => s.recipe?.passes.find((p) => p.id === id));
  const kind = useView((s) => s.kinds.find((k) => k.kind === pass?.move.kind));
  return pass && kind ? <PassCard pass={pass} kind={kind} /> : null;
});

/** A stage that holds passes: these, and what can be added. */
export const PassStage = memo(function PassStage({ number, name }: { number: string; name: string }) {
  const kinds = useView((s) => s.kinds);
  const ids = useHistory(useShallow((s) => passesOf(s.recipe, kinds, name)));
  const Helper = HELPERS[name];
  return (
    <Section
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
        {Helper && <Helper />}
        <AddButtons stage={name} />
      </StageButtons>
    </Section>
  );
});

/** Adds a pass of any kind that the stage knows and the frames allow. */
function AddButtons({ stage }: { stage: string }) {
  const all = useView((s) => s.kinds);
  const frames = useView((s) => s.sheet?.frames.length ?? 0);
  const used = useHistory(useShallow((s): string[] => s.recipe?.passes.map((p) => p.move.kind) ?? []));
  return all
    .filter((k) => k.stage === stage && k.frames.length < 2)
    .filter((k) => k.frames.length === 0 || k.kind === "clear-casts" || frames > 1)
    .map((k) => (
      <StageButton key={k.kind} onClick={() => add(k)}>
        {used.includes(k.kind) ? `${k.name} again` : k.name}
      </StageButton>
    ));
}
