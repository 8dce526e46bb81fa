import { Tick } from "../../kit/Tick";
import { startPart } from "../edits/regions";
import { settle } from "../state/gesture";
import { leaveTool } from "../state/hand";
import { joins, press } from "../tools/tool";
import { LookLine } from "./lines";
import type { PartUi } from "./part";

/** Similar colour: pressed on the place whose colour is wanted. */
const tool = (defaults: Record<string, number>) =>
  press("crosshair", (at) => {
    startPart(
      {
        kind: "similar-colour",
        look: { from: "GROUND", frame: "" },
        at: at.point,
        tolerance: defaults.tolerance ?? 12,
        softness: defaults.softness ?? 0.3,
        connected: true,
      },
      joins(at),
    );
    settle();
    leaveTool();
  });

export const similarColour: PartUi<"similar-colour"> = {
  kind: "similar-colour",
  name: "Similar",
  title: () => "Similar colour",
  draw: { key: "U", how: "Click the place whose colour is wanted.", tool },
  grips: (shape) => [
    { at: shape.at, name: "The place whose colour is wanted", to: (at) => ({ ...shape, at }) },
  ],
  Editor: ({ shape, onChange }) => (
    <>
      <LookLine look={shape.look} live={false} onPick={(look) => onChange({ look })} />
      <Tick
        label="Connected area only"
        on={shape.connected}
        onChange={(connected) => onChange({ connected })}
      />
    </>
  ),
};
