import type { PartUi } from "./part";

export const glazing: PartUi<"glazing"> = {
  kind: "glazing",
  name: "Glazing",
  title: () => "Glazing",
  found: () => ({ kind: "glazing" }),
};
