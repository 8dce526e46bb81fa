import { FrameLine } from "./lines";
import type { PartUi } from "./part";

export const burntLight: PartUi<"burnt-light"> = {
  kind: "burnt-light",
  name: "Burnt light",
  title: () => "Burnt light",
  found: ({ frames }) => ({ kind: "burnt-light", frame: frames.find((f) => f.anchor)?.id ?? "" }),
  Editor: ({ shape, onChange }) => <FrameLine frame={shape.frame} onPick={(frame) => onChange({ frame })} />,
};
