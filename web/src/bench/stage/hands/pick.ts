import type { ColourBand } from "../../../api/client";
import { changePart, pick as pickColour, put, settle, startPart, useBench } from "../../store";
import { joins, type Hand } from "./hand";

/** Similar colour: pressed on the place whose colour is wanted. */
export function similarHand(): Hand {
  return {
    cursor: "crosshair",
    down: (at) => {
      startPart(
        {
          kind: "similar-colour",
          look: { from: "GROUND", frame: "" },
          at: at.point,
          tolerance: 12,
          softness: 0.3,
          connected: true,
        },
        joins(at),
      );
      settle();
      put({ tool: "look" });
    },
    move: () => {},
    up: () => {},
  };
}

/**
 * Colour band: each press picks a colour. The first makes the part, further ones widen the selected band
 * until the tool is left.
 */
export function colourHand(): Hand {
  return {
    cursor: "crosshair",
    down: (at) => {
      const s = useBench.getState();
      const own = s.recipe?.regions
        .find((r) => r.id === s.region)
        ?.parts.find((p) => p.id === s.part && p.shape.kind === "colour-band");
      const look = own ? (own.shape as ColourBand).look : { from: "GROUND" as const, frame: "" };
      void pickColour(look, at.x, at.y).then((lab) => {
        const hue = (Math.atan2(lab.b, lab.a) * 180) / Math.PI;
        const pick = {
          hue: Math.round(hue * 10) / 10,
          chroma: Math.round(Math.hypot(lab.a, lab.b) * 10) / 10,
        };
        if (own) {
          const band = own.shape as ColourBand;
          changePart(own.id, (p) => ({ ...p, shape: { ...band, picks: [...band.picks, pick].slice(-20) } }));
        } else {
          startPart(
            { kind: "colour-band", look, picks: [pick], hue: 25, chroma: 20, softness: 0.5 },
            joins(at),
          );
        }
        settle();
      });
    },
    move: () => {},
    up: () => {},
  };
}
