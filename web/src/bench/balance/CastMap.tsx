import { StageButton } from "../recipe/StageButton";
import { toldBy } from "../regions/found";
import { MapOver } from "../stage/MapOver";
import { put, useBench } from "../store";

/** Switches the picture of casts on and off. */
export function CastMapButton() {
  const casts = useBench((s) => s.casts);
  const frames = useBench((s) => s.sheet!.frames);
  const pass = useBench((s) => s.recipe!.passes.find((p) => p.move.kind === "clear-casts")?.move);
  const show = () =>
    put({
      casts: casts
        ? undefined
        : // as the pass sees them; without one, as it would
          pass?.kind === "clear-casts"
          ? { source: pass.source, reference: pass.reference }
          : toldBy(frames),
    });
  return (
    <StageButton pressed={!!casts} onClick={show}>
      Cast map
    </StageButton>
  );
}

/** The colour of the light on each surface, over the picture. */
export function CastMap() {
  const shown = useBench((s) => !!s.casts && !s.moving && !s.before && !s.alone);
  return shown ? <Shown /> : null;
}

const TOLD_BY = {
  FLASH: "the flash",
  LIGHTS: "the room without lamps",
  SURFACES: "near-neutral surfaces",
};

function Shown() {
  const casts = useBench((s) => s.casts!);
  const view = useBench((s) => s.sheet!.id);
  const query = new URLSearchParams({ source: casts.source, reference: casts.reference });
  return (
    <MapOver
      src={`/api/views/${view}/casts?${query}`}
      alt="Cast map"
      onError={() => put({ casts: undefined, problem: "The casts of this view cannot be told so." })}
    >
      The light on each surface, told by {TOLD_BY[casts.source]}; twice as strong as it is. Grey is neutral.
    </MapOver>
  );
}
