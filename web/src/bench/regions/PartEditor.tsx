import type { Part, Shape } from "../../api/types";
import { held } from "../../kit/numbers";
import { Scale } from "../../kit/Scale";
import { changePart } from "../edits/regions";
import { partUi } from "../parts";
import { reshape, settle } from "../state/gesture";
import { useHand } from "../state/hand";
import { useView } from "../state/view";

/** A part's own numbers, drawn from the catalogue, and what only its kind has. */
export function PartEditor({ part }: { part: Part }) {
  const controls = useView((s) => s.partKinds.find((k) => k.kind === part.shape.kind)?.controls) ?? [];
  const ui = partUi(part.shape.kind);
  const shape = part.shape as never;
  const numbers = part.shape as unknown as Record<string, number>;
  const move = (to: Partial<Shape>) => {
    reshape(useHand.getState().region);
    changePart(part.id, (p) => Object.assign(p.shape, to));
  };
  const change = (to: Partial<Shape>) => {
    move(to);
    settle();
  };
  return (
    <>
      {ui.Editor && <ui.Editor part={part} shape={shape} onChange={change} onMove={move} onSettle={settle} />}
      {controls
        .filter((c) => !ui.hides?.(shape, c.name))
        .map((c) => (
          <Scale
            key={c.name}
            {...c}
            value={numbers[c.name] ?? c.defaultValue}
            onMove={(v) => move({ [c.name]: held(controls, numbers, c.name, v) })}
            onSettle={settle}
          />
        ))}
    </>
  );
}
