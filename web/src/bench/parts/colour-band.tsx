import { Typography } from "@mui/material";
import { saidOf } from "../../api/client";
import type { ShapeOf } from "../../api/types";
import { changePart, startPart } from "../edits/regions";
import { settle } from "../state/gesture";
import { useHand } from "../state/hand";
import { recipe } from "../state/history";
import { colourAt } from "../state/asking";
import { complain } from "../state/view";
import { joins, press, type Spot } from "../tools/tool";
import { LookLine } from "./lines";
import type { PartUi } from "./part";

type Band = ShapeOf<"colour-band">;
const MOST_PICKS = 20;

/** The selected band of the selected region. */
function chosenBand() {
  const { region, part } = useHand.getState();
  return recipe()
    ?.regions.find((r) => r.id === region)
    ?.parts.find((p) => p.id === part && p.shape.kind === "colour-band");
}

const round = (v: number) => Math.round(v * 10) / 10;

async function pick(at: Spot, defaults: Record<string, number>) {
  const own = chosenBand();
  const look = own ? (own.shape as Band).look : { from: "GROUND" as const, frame: "" };
  const lab = await colourAt(look, at.x, at.y);
  const colour = {
    hue: round((Math.atan2(lab.b, lab.a) * 180) / Math.PI),
    chroma: round(Math.hypot(lab.a, lab.b)),
  };
  if (own) {
    changePart(own.id, (p) => {
      const band = p.shape as Band;
      band.picks = [...band.picks, colour].slice(-MOST_PICKS);
    });
  } else {
    const { hue = 25, chroma = 20, softness = 0.5 } = defaults;
    startPart({ kind: "colour-band", look, picks: [colour], hue, chroma, softness }, joins(at));
  }
  settle();
}

/**
 * Colour band: each press picks a colour. The first makes the part, further ones widen the selected band
 * until the tool is left.
 */
const tool = (defaults: Record<string, number>) =>
  press("crosshair", (at) => {
    pick(at, defaults).catch((e: unknown) => complain(saidOf(e)));
  });

export const colourBand: PartUi<"colour-band"> = {
  kind: "colour-band",
  name: "Colours",
  title: () => "Colour band",
  draw: { key: "I", how: "Click a colour; each further click adds one. Esc leaves.", tool },
  Editor: ({ shape, onChange }) => (
    <>
      <LookLine look={shape.look} live onPick={(look) => onChange({ look })} />
      <Typography variant="caption" component="div">
        {shape.picks.length} picked {shape.picks.length === 1 ? "colour" : "colours"}; with the tool in hand,
        each press picks one more.
      </Typography>
    </>
  ),
};
