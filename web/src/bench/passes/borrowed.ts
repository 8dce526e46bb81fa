import type { Kind, Pass } from "../../api/types";
import { addPass } from "../edits/passes";
import { addRegion, numbered } from "../edits/regions";
import { middleOf } from "../parts/extent";
import { minus, plus } from "../parts/part";
import { take, useHand } from "../state/hand";
import { recipe } from "../state/history";
import { showAs } from "../state/masks";
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

/** Begins in the chosen region, or with the brush in hand over a new one. */
function add(kind: Kind) {
  const { region } = useHand.getState();
  if (region) {
    addPass(kind, region, {});
    return;
  }
  const mark = addRegion(numbered("Mark", 1));
  addPass(kind, mark, {});
  take({ region: mark, sheet: true, part: "", tool: "brush", combine: "ADD" });
  // what is mended is judged by the picture, not by a veil over it
  showAs("line");
}

export const borrowed: PassUi[] = ["heal", "clone"].map((kind) => ({ kind, grips, add }));
