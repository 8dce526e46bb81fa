import { Box, Button, Tooltip, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useShallow } from "zustand/react/shallow";
import { data, server } from "../../api/client";
import type { Pass, Shape, ShapeOf } from "../../api/types";
import { addPass } from "../edits/passes";
import { addRegion, newPart } from "../edits/regions";
import { nearest } from "../frames";
import { defaultsOf } from "../parts/part";
import { useHistory } from "../state/history";
import { useView } from "../state/view";

const SMALL = { px: 1, py: 0.1, fontSize: 12 };

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

/** The single lights that the frames let one take apart, and why others cannot be. */
export function Lights() {
  const kind = useView((s) => s.kinds.find((k) => k.kind === "mix-light"));
  const used = useHistory(useShallow((s) => mixedPairs(s.recipe?.passes ?? [])));
  const offers = useOffers();
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const isFlash = (id: string) => frames.some((f) => f.id === id && f.role === "FLASH");
  if (!kind || offers.length === 0) return null;
  return (
    <Box sx={{ pl: "22px", mt: 0.5, display: "flex", gap: 0.5, flexWrap: "wrap", alignItems: "center" }}>
      <Typography color="text.secondary">Mix</Typography>
      {offers
        .filter((o) => o.usable)
        .map((o) => (
          <Tooltip key={o.name + o.with} title={o.said}>
            <Button
              data-once
              disabled={used.includes(pair(o))}
              onClick={() => addPass(kind, "", { with: o.with, without: o.without })}
              sx={SMALL}
            >
              {o.name}
            </Button>
          </Tooltip>
        ))}
      <FlashWork offers={offers.filter((o) => isFlash(o.with))} />
      {offers
        .filter((o) => !o.usable)
        .map((o) => (
          <Typography key={o.name + o.with} variant="caption" component="div" sx={{ width: "100%" }}>
            {o.name}: {o.said}.
          </Typography>
        ))}
    </Box>
  );
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

/** What else a flash frame is good for beside an ambient one, and what is to be mended in it. */
function FlashWork({ offers }: { offers: Offer[] }) {
  const share = useView((s) => s.kinds.find((k) => k.kind === "share-flash"));
  if (!share) return null;
  return offers.map((o) => (
    <Box key={o.with} sx={{ width: "100%", display: "flex", gap: 0.5, flexWrap: "wrap" }}>
      {o.usable && (
        <Tooltip title="A share of the flash frame, and its colours under the room's light">
          <Button
            data-once
            onClick={() => addPass(share, "", { flash: o.with, ambient: o.without })}
            sx={SMALL}
          >
            Share {o.name.toLowerCase()} with ambient
          </Button>
        </Tooltip>
      )}
      <Tooltip title="Found in the frames, and taken from another frame">
        <Button
          data-once
          onClick={() => mend(o, "HOT_SPOT")}
          sx={SMALL}
          aria-label={`Mend hot spots of ${o.name}`}
        >
          Hot spots
        </Button>
      </Tooltip>
      <Tooltip title="Found in the frames, and taken from another frame">
        <Button
          data-once
          onClick={() => mend(o, "HARD_SHADOW")}
          sx={SMALL}
          aria-label={`Mend hard shadows of ${o.name}`}
        >
          Hard shadows
        </Button>
      </Tooltip>
    </Box>
  ));
}
