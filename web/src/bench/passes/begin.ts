import type { Kind } from "../../api/types";
import { addPass } from "../edits/passes";
import { addRegion, numbered } from "../edits/regions";
import { take, useHand } from "../state/hand";
import { recipe } from "../state/history";
import { showAs } from "../state/masks";

/**
 * Adds a pass in the chosen region, or with a tool in hand over a new one of a name: also where the
 * chosen region has such a pass already, since another is meant for another place.
 *
 * @param flow of the brush, where it is not to begin with full strokes
 */
export const begin = (name: string, tool: "brush" | "loop", flow?: number) => (kind: Kind) => {
  const { region, brush } = useHand.getState();
  if (flow) take({ brush: { ...brush, flow } });
  const again = recipe()?.passes.some((p) => p.move.kind === kind.kind && p.where.region === region);
  if (region && !again) {
    addPass(kind, region, {});
    return;
  }
  const made = addRegion(numbered(name, 1));
  addPass(kind, made, {});
  take({ region: made, sheet: true, part: "", tool, combine: "ADD" });
  // what is mended is judged by the picture, not by a veil over it
  showAs("line");
};
