import type { PartUi } from "./part";

export const windowFinder: PartUi<"window-finder"> = {
  kind: "window-finder",
  name: "Window finder",
  title: () => "Window finder",
  found: () => ({ kind: "window-finder" }),
};
