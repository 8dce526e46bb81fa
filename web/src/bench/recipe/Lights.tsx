import { Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useShallow } from "zustand/react/shallow";
import { data, server } from "../../api/client";
import type { Pass, Shape, ShapeOf } from "../../api/types";
import { addPass } from "../edits/passes";
import { addRegion, newPart } from "../edits/regions";
import { nearest } from "../frames";
import { defaultsOf } from "../parts/part";
import { useHand } from "../state/hand";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import type { Addition } from "./AddMenu";

const pair = (of: { with: string; without: string }) => `${of.with} ${of.without}`;

/** The pairs of frames that are mixed already. */
function mixedPairs(passes: Pass[]): string[] {
  return passes.flatMap((p) => (p.move.kind === "mix-light" ? [pair(p.move)] : []));
}

function useOffers() {
  const id = useView((s) => s.sheet?.id) ?? "";
  const lights = useQuery({
    queryKey: ["lights", id],
    queryFn: () => data(server.GET("/api/views/{id}/lights", { params: { path: { id } } })),
    enabled: !!id,
    staleTime: Infinity,
  });
  return lights.data ?? [];
}

type Offer = ReturnType<typeof useOffers>[number];

/** The single lights that the frames let one take apart, and what a flash frame is good for. */
export function useLightsToAdd(stage: string | undefined): Addition[] {
  const mix = useView((s) => s.kinds.find((k) => k.kind === "mix-light"));
  const share = useView((s) => s.kinds.find((k) => k.kind === "share-flash"));
  const used = useHistory(useShallow((s) => mixedPairs(s.recipe?.passes ?? [])));
  const offers = useOffers();
  const frames = useView((s) => s.sheet?.frames) ?? [];
  if (!mix || !share || (stage && stage !== mix.stage)) return [];
  const flashes = offers.filter((o) => frames.some((f) => f.id === o.with && f.role === "FLASH"));
  const region = () => useHand.getState().region;
  return [
    ...offers
      .filter((o) => o.usable)
      .map((o) => ({
        name: `Mix in ${lower(o.name)}`,
        help: `${o.said}.`,
        disabled: used.includes(pair(o)),
        add: () => addPass(mix, region(), { with: o.with, without: o.without }),
      })),
    ...flashes.flatMap((o) => [
      ...(o.usable
        ? [
            {
              name: `Mix ${lower(o.name)} and ambient`,
              help: share.help + ".",
              add: () => addPass(share, region(), { flash: o.with, ambient: o.without }),
            },
          ]
        : []),
      {
        name: `Mend hot spots of ${lower(o.name)}`,
        help: "Glare of the flash, found and taken from another frame.",
        add: () => mend(o, "HOT_SPOT"),
      },
      {
        name: `Mend hard shadows of ${lower(o.name)}`,
        help: "Shadows of the flash, found and taken from another frame.",
        add: () => mend(o, "HARD_SHADOW"),
      },
    ]),
  ];
}

const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);

/** Which lights cannot be taken apart, and why. */
export function LightsThatCannot() {
  return useOffers()
    .filter((o) => !o.usable)
    .map((o) => (
      <Typography key={o.name + o.with} variant="caption" component="div" sx={{ width: "100%" }}>
        {o.name}: {o.said}.
      </Typography>
    ));
}

/** Takes a place that the flash spoils from another frame, exposed alike. */
function mend(offer: Offer, trouble: ShapeOf<"flash-trouble">["trouble"]) {
  const { kinds, partKinds, sheet } = useView.getState();
  const lay = kinds.find((k) => k.kind === "lay-frame");
  const frames = sheet?.frames ?? [];
  // another flash frame lights the place from elsewhere; an ambient one has no flash at all
  const flash = frames.find((f) => f.id === offer.with);
  const other = frames.find((f) => f.role === "FLASH" && f !== flash) ?? (flash && nearest(flash, frames));
  if (!lay || !flash || !other) return;
  const name = trouble === "HOT_SPOT" ? "Hot spots" : "Hard shadows";
  const shape = {
    kind: "flash-trouble",
    ...defaultsOf(partKinds, "flash-trouble"),
    flash: offer.with,
    trouble,
  } as Shape;
  addPass(lay, addRegion(`${name}, ${offer.name.toLowerCase()}`, newPart(shape)), {
    frame: other.id,
    exposure: Number((flash.stops - other.stops).toFixed(2)),
  });
}
