import { useQuery } from "@tanstack/react-query";
import { askPicture } from "../../api/client";
import { StageButton } from "../recipe/StageButton";
import { MapOver } from "../stage/MapOver";
import { put, useBench, type BenchState } from "../store";

/** The pass whose transmission is shown: the chosen one, else the last that clears haze. */
function hazePass({ recipe, pass }: BenchState) {
  const all = recipe!.passes.filter((p) => p.move.kind === "clear-haze" && p.on);
  return all.find((p) => p.id === pass) ?? all.at(-1);
}

/** Switches the picture of what haze lets through on and off. */
export function TransmissionButton() {
  const there = useBench((s) => !!hazePass(s));
  const on = useBench((s) => s.transmission);
  return there ? (
    <StageButton pressed={on} onClick={() => put({ transmission: !on })}>
      Transmission
    </StageButton>
  ) : null;
}

/** How much of the view the haze lets through, over the picture. */
export function Transmission() {
  const shown = useBench((s) => s.transmission && !s.moving && !s.before && !s.alone && !!hazePass(s));
  return shown ? <Shown /> : null;
}

function Shown() {
  const view = useBench((s) => s.sheet!.id);
  const recipe = useBench((s) => s.recipe!);
  const pass = useBench((s) => hazePass(s)!.id);
  const map = useQuery({
    queryKey: ["transmission", view, pass, recipe],
    queryFn: () => askPicture(`/api/views/${view}/transmission/${pass}`, { method: "POST", body: recipe }),
    placeholderData: (before) => before,
    staleTime: Infinity,
    gcTime: 10_000,
  });
  return map.data ? (
    <MapOver src={map.data} alt="Transmission">
      What the haze lets through: white all, black nothing.
    </MapOver>
  ) : null;
}
