import type { Kind } from "../../api/types";
import { addPass } from "../edits/passes";
import { addRegion, numbered } from "../edits/regions";
import { take, useHand } from "../state/hand";
import { recipe } from "../state/history";
import { showAs } from "../state/masks";

/** How a pass begins over a new region. */
interface Beginning {
  /** Of the region. */
  name: string;
  /** In hand then. */
  tool: "brush" | "loop";
  /** Of the brush, where it is not to begin with full strokes. */
  flow?: number;
  /** Whether it takes a region that is chosen; one whose strokes are weak does not. */
  joins: boolean;
}

/**
 * Adds a pass in the chosen region, or with a tool in hand over a new one: also where the chosen region has such
 * a pass already, since another is meant for another place.
 */
export const begin =
  ({ name, tool, flow, joins }: Beginning) =>
  (kind: Kind) => {
    const { region, brush } = useHand.getState();
    const again = recipe()?.passes.some((p) => p.move.kind === kind.kind && p.where.region === region);
    if (joins && region && !again) {
      addPass(kind, region, {});
      return;
    }
    const made = addRegion(numbered(name, 1));
    addPass(kind, made, {});
    take({
      region: made,
      sheet: true,
      part: "",
      tool,
      combine: "ADD",
      ...(flow && { brush: { ...brush, flow } }),
    });
    // what is mended is judged by the picture, not by a veil over it
    showAs("line");
  };
