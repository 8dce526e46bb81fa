import { Box, Button, Tooltip, Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useShallow } from "zustand/react/shallow";
import { ask, type FlashTrouble, type Offer, type Pass, type Shape } from "../../api/client";
import { nearest } from "../regions/found";
import { addPass, addRegion, newPart, useBench } from "../store";
import { carefulValues } from "../words";

const pair = (of: { with: string; without: string }) => `${of.with} ${of.without}`;

/** The pairs of frames that are mixed already. */
function mixedPairs(passes: Pass[]): string[] {
  return passes.flatMap((p) => (p.move.kind === "mix-light" ? [pair(p.move)] : []));
}

/** The single lights that the frames let one take apart, and why others cannot be. */
export function Lights() {
  const view = useBench((s) => s.sheet?.id);
  const kind = useBench((s) => s.kinds.find((k) => k.kind === "mix-light"));
  const used = useBench(useShallow((s) => mixedPairs(s.recipe?.passes ?? [])));
  const lights = useQuery({
    queryKey: ["lights", view],
    queryFn: () => ask<Offer[]>(`/api/views/${view}/lights`),
    enabled: !!view,
    staleTime: Infinity,
  });
  const offers = lights.data ?? [];
  const mixed = (o: Offer) => used.includes(pair(o));
  const frames = useBench((s) => s.sheet?.frames) ?? [];
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
              disabled={mixed(o)}
              onClick={() => addPass(kind, "", { with: o.with, without: o.without })}
              sx={{ px: 1, py: 0.1, fontSize: 12 }}
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

/** What else a flash frame is good for beside an ambient one, and what is to be mended in it. */
function FlashWork({ offers }: { offers: Offer[] }) {
  const kinds = useBench((s) => s.kinds);
  const parts = useBench((s) => s.partKinds);
  const share = kinds.find((k) => k.kind === "share-flash");
  const lay = kinds.find((k) => k.kind === "lay-frame");
  const frames = useBench((s) => s.sheet?.frames) ?? [];
  const careful = carefulValues(parts.find((k) => k.kind === "flash-trouble")?.controls);
  if (!share || !lay || offers.length === 0) return null;
  const small = { px: 1, py: 0.1, fontSize: 12 };
  const mend = (o: Offer, trouble: FlashTrouble["trouble"]) => {
    // another flash frame lights the place from elsewhere; an ambient one has no flash at all
    const flash = frames.find((f) => f.id === o.with);
    const other = frames.find((f) => f.role === "FLASH" && f !== flash) ?? (flash && nearest(flash, frames));
    if (!flash || !other) return;
    const name = trouble === "HOT_SPOT" ? "Hot spots" : "Hard shadows";
    const shape = { kind: "flash-trouble", ...careful, flash: o.with, trouble } as Shape;
    addPass(lay, addRegion(`${name}, ${o.name.toLowerCase()}`, newPart(shape)), {
      frame: other.id,
      exposure: Number((flash.stops - other.stops).toFixed(2)),
    });
  };
  return (
    <>
      {offers.map((o) => (
        <Box key={o.with} sx={{ width: "100%", display: "flex", gap: 0.5, flexWrap: "wrap" }}>
          {o.usable && (
            <Tooltip title="A share of the flash frame, and its colours under the room's light">
              <Button onClick={() => addPass(share, "", { flash: o.with, ambient: o.without })} sx={small}>
                Share {o.name.toLowerCase()} with ambient
              </Button>
            </Tooltip>
          )}
          <Tooltip title="Found in the frames, and taken from another frame">
            <Button onClick={() => mend(o, "HOT_SPOT")} sx={small} aria-label={`Mend hot spots of ${o.name}`}>
              Hot spots
            </Button>
          </Tooltip>
          <Tooltip title="Found in the frames, and taken from another frame">
            <Button
              onClick={() => mend(o, "HARD_SHADOW")}
              sx={small}
              aria-label={`Mend hard shadows of ${o.name}`}
            >
              Hard shadows
            </Button>
          </Tooltip>
        </Box>
      ))}
    </>
  );
}
