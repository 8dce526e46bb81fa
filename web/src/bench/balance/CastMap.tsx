import { bestMeasure } from "../frames";
import { StageButton } from "../recipe/StageButton";
import { MapOver } from "../stage/MapOver";
import { bare, useGesture } from "../state/gesture";
import { help, useHelpers, type Measure } from "../state/helpers";
import { useHistory } from "../state/history";
import { complain, useView } from "../state/view";
import { useViewport } from "../state/viewport";

/** Switches the picture of casts on and off. */
export function CastMapButton() {
  const casts = useHelpers((s) => s.casts);
  const frames = useView((s) => s.sheet?.frames) ?? [];
  const pass = useHistory((s) => s.recipe?.passes.find((p) => p.move.kind === "clear-casts")?.move);
  // as the pass sees them; without one, as it would
  const measure =
    pass?.kind === "clear-casts" ? { source: pass.source, reference: pass.reference } : bestMeasure(frames);
  return (
    <StageButton pressed={!!casts} onClick={() => help({ casts: casts ? undefined : measure })}>
      Cast map
    </StageButton>
  );
}

/** The colour of the light on each surface, over the picture. */
export function CastMap() {
  const casts = useHelpers((s) => s.casts);
  const hidden = useGesture(bare);
  const alone = useViewport((s) => s.alone);
  return casts && !hidden && !alone ? <Shown {...casts} /> : null;
}

const MEASURED: Record<Measure["source"], string> = {
  FLASH: "the flash",
  LIGHTS: "the room without lamps",
  SURFACES: "near-neutral surfaces",
};

function Shown({ source, reference }: Measure) {
  const view = useView((s) => s.sheet?.id) ?? "";
  const query = new URLSearchParams({ source, reference });
  return (
    <MapOver
      src={`/api/views/${view}/casts?${query}`}
      alt="Cast map"
      onError={() => {
        help({ casts: undefined });
        complain(`The casts of this view cannot be measured from ${MEASURED[source]}.`);
      }}
    >
      The light on each surface, measured from {MEASURED[source]}; twice as strong as it is. Grey is neutral.
    </MapOver>
  );
}
