import type { ViewCard } from "../api/types";
import { useRemembered } from "../kit/remembered";
import { STATE } from "./states";

/** How the contact table is looked at. */
export interface Shown {
  /** Least width of a picture, px. */
  size: number;
  sort: "delivery" | "name" | "state";
  /** A state, "remarks" for views with open remarks, or all. */
  only: ViewCard["state"] | "remarks" | "all";
}

const START: Shown = { size: 360, sort: "delivery", only: "all" };

export const useShown = () => useRemembered("contacts", START);

const STATES = Object.keys(STATE);

/** The views that are shown, in their order. */
export function shownViews(views: ViewCard[], { sort, only }: Shown, remarked: string[]): ViewCard[] {
  const kept = views.filter(
    (v) => only === "all" || (only === "remarks" ? remarked.includes(v.id) : v.state === only),
  );
  if (sort === "name") return [...kept].sort((a, b) => a.name.localeCompare(b.name));
  if (sort === "state") return [...kept].sort((a, b) => STATES.indexOf(a.state) - STATES.indexOf(b.state));
  return kept;
}
