import type { KeyboardEvent } from "react";
import { ARROWS } from "../kit/arrows";
import { within } from "../kit/numbers";

/** Arrow keys, Home and End go from picture to picture of the table. */
export function walk(e: KeyboardEvent<HTMLElement>) {
  const all = [...e.currentTarget.querySelectorAll<HTMLElement>("[data-contact]")];
  const at = all.findIndex((p) => p === e.target);
  const here = all[at];
  if (!here) return;
  const way = ARROWS[e.key];
  const top = here.getBoundingClientRect().top;
  const across = all.filter((p) => Math.abs(p.getBoundingClientRect().top - top) < 4).length;
  const to =
    e.key === "Home" ? 0 : e.key === "End" ? all.length - 1 : way ? at + way[0] + way[1] * across : undefined;
  if (to === undefined) return;
  e.preventDefault();
  all[within(to, 0, all.length - 1)]?.focus();
}
