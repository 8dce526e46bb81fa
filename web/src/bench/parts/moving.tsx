import type { PartUi } from "./part";

export const moving: PartUi<"moving"> = {
  kind: "moving",
  name: "Moving things",
  title: () => "Moving things",
  found: () => ({ kind: "moving" }),
};
