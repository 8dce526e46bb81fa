import { memo } from "react";
import { useShallow } from "zustand/react/shallow";
import { useBench, type BenchState } from "../store";
import { TransmissionButton } from "../air/Transmission";
import { BoardButton } from "../balance/Board";
import { CastMapButton } from "../balance/CastMap";
import { add } from "./adding";
import { HoldBefore } from "./HoldBefore";
import { Lights } from "./Lights";
import { PassCard } from "./PassCard";
import { Propose } from "./Propose";
import { Section } from "./Section";
import { StageButton, StageButtons } from "./StageButton";

/** A stage's passes by their ids, in the order of the recipe. */
function passesOf(s: BenchState, stage: string): string[] {
  const kinds = s.kinds.filter((k) => k.stage === stage).map((k) => k.kind);
  const passes = s.recipe?.passes ?? [];
  return passes.filter((p) => kinds.includes(p.move.kind)).map((p) => p.id);
}

/** One pass; only it is drawn again while one of its controls moves. */
const PassRow = memo(function PassRow({ id }: { id: string }) {
  const pass = useBench((s) => s.recipe?.passes.find((p) => p.id === id));
  const kind = useBench((s) => s.kinds.find((k) => k.kind === pass?.move.kind));
  return pass && kind ? <PassCard pass={pass} kind={kind} /> : null;
});

/** A stage that holds passes: these, and what can be added. */
export const PassStage = memo(function PassStage({ number, name }: { number: string; name: string }) {
  const ids = useBench(useShallow((s) => passesOf(s, name)));
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
        {name === "Tone" && <Propose stage="Low-contrast start" name="Low-contrast start" />}
        {name === "Colour" && <CastMapButton />}
        {name === "Air" && <TransmissionButton />}
        {name === "Balance" && <BoardButton />}
        <AddButtons stage={name} />
      </StageButtons>
    </Section>
  );
});

/** The kind of each pass in the recipe. */
const kindsUsed = (s: BenchState): string[] => s.recipe?.passes.map((p) => p.move.kind) ?? [];

/** Adds a pass of any kind that the stage knows and the frames allow. */
function AddButtons({ stage }: { stage: string }) {
  const all = useBench((s) => s.kinds);
  const frames = useBench((s) => s.sheet!.frames.length);
  const used = useBench(useShallow(kindsUsed));
  return all
    .filter((k) => k.stage === stage && k.frames.length < 2)
    .filter((k) => k.frames.length === 0 || k.kind === "clear-casts" || frames > 1)
    .map((k) => (
      <StageButton key={k.kind} onClick={() => add(k)}>
        {used.includes(k.kind) ? `Another: ${k.name.toLowerCase()}` : k.name}
      </StageButton>
    ));
}
