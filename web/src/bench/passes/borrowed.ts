import type { Pass } from "../../api/types";
import { middleOf } from "../parts/extent";
import { minus, plus } from "../parts/part";
import { recipe } from "../state/history";
import { begin } from "./begin";
import type { PassUi } from "./pass";

const share = (v: number) => Number(v.toFixed(3));

/** What mends a place from another has its source taken hold of on the picture. */
const grips: PassUi["grips"] = ({ move, where }: Pass) => {
  const middle = middleOf(recipe()?.regions.find((r) => r.id === where.region)?.parts ?? []);
  if (!middle || (move.kind !== "heal" && move.kind !== "clone")) return [];
  return [
    {
      at: plus(middle, { x: move.across, y: move.down }),
      name: "Source",
      to: (p) => {
        const way = minus(p, middle);
        return { across: share(way.x), down: share(way.y) };
      },
    },
  ];
};

export const borrowed: PassUi[] = ["heal", "take-out", "clone"].map((kind) => ({
  kind,
  grips,
  add: begin({ name: kind === "take-out" ? "Thing" : "Mark", tool: "brush", joins: true }),
}));
