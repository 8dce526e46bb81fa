import type { Shape } from "../../api/types";
import { recipe } from "../state/history";
import { useView } from "../state/view";
import { brush } from "./brush";
import { burntLight } from "./burnt-light";
import { colourBand } from "./colour-band";
import { ellipse } from "./ellipse";
import { flashTrouble } from "./flash-trouble";
import { glazing } from "./glazing";
import { handWindow } from "./hand-window";
import { loop } from "./loop";
import { moving } from "./moving";
import { otherRegion } from "./other-region";
import { outline } from "./outline";
import { panel } from "./panel";
import { defaultsOf, type PartUi, type Start } from "./part";
import { ramp } from "./ramp";
import { similarColour } from "./similar-colour";
import { toneBand } from "./tone-band";
import { windowFinder } from "./window-finder";

/** All kinds of parts, one line a kind; those that are drawn come first. */
const ALL = [
  outline,
  loop,
  ramp,
  ellipse,
  panel,
  handWindow,
  brush,
  similarColour,
  colourBand,
  toneBand,
  windowFinder,
  glazing,
  burntLight,
  moving,
  flashTrouble,
  otherRegion,
] as unknown as PartUi[];

export const DRAWN = ALL.filter((p) => p.draw);
export const FOUND = ALL.filter((p) => p.found);

export function partUi(kind: Shape["kind"]): PartUi {
  const found = ALL.find((p) => p.kind === kind);
  if (!found) throw new Error(`There is no part of the kind ${kind}.`);
  return found;
}

/** A shape of a found kind as it begins; nothing where the view has nothing to offer. */
export function firstShape(kind: Shape["kind"], region: string): Shape | undefined {
  const { sheet, partKinds } = useView.getState();
  const now = recipe();
  if (!sheet || !now) return undefined;
  const start: Start = { frames: sheet.frames, recipe: now, region };
  const own = partUi(kind).found?.(start);
  return own && ({ ...defaultsOf(partKinds, kind), ...own } as Shape);
}
