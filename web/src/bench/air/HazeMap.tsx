import { useQuery } from "@tanstack/react-query";
import { data, server } from "../../api/client";
import type { Recipe } from "../../api/types";
import { useBlobUrl } from "../../kit/blob";
import { StageButton } from "../recipe/StageButton";
import { MapOver } from "../stage/MapOver";
import { bare, useGesture } from "../state/gesture";
import { useHand } from "../state/hand";
import { help, useHelpers } from "../state/helpers";
import { useHistory } from "../state/history";
import { useView } from "../state/view";
import { useViewport } from "../state/viewport";

/** The pass whose haze map is shown: the chosen one, else the last that clears haze. */
function hazePass(recipe: Recipe | undefined, chosen: string): string {
  const all = recipe?.passes.filter((p) => p.move.kind === "clear-haze" && p.on) ?? [];
  return (all.find((p) => p.id === chosen) ?? all.at(-1))?.id ?? "";
}

function useHazePass(): string {
  const chosen = useHand((s) => s.pass);
  return useHistory((s) => hazePass(s.recipe, chosen));
}

/** Switches the haze map on and off. */
export function HazeMapButton() {
  const there = useHazePass();
  const on = useHelpers((s) => s.haze);
  return there ? (
    <StageButton pressed={on} onClick={() => help({ haze: !on })}>
      Haze map
    </StageButton>
  ) : null;
}

/** How dense the haze is, over the picture. */
export function HazeMap() {
  const on = useHelpers((s) => s.haze);
  const hidden = useGesture(bare);
  const alone = useViewport((s) => s.alone);
  const pass = useHazePass();
  return on && pass && !hidden && !alone ? <Shown pass={pass} /> : null;
}

function Shown({ pass }: { pass: string }) {
  const id = useView((s) => s.sheet?.id) ?? "";
  const body = useHistory((s) => s.recipe);
  const map = useQuery({
    queryKey: ["haze", id, pass, body],
    queryFn: () => {
      if (!body) throw new Error("There is no recipe yet.");
      const params = { path: { id, pass } };
      return data<unknown>(
        server.POST("/api/views/{id}/transmission/{pass}", { params, body, parseAs: "blob" }),
      );
    },
    placeholderData: (before) => before,
    staleTime: Infinity,
    gcTime: 10_000,
  });
  const src = useBlobUrl(map.data instanceof Blob ? map.data : undefined);
  return src ? (
    <MapOver src={src} alt="Haze map">
      Haze map: white is clear air, black is dense haze.
    </MapOver>
  ) : null;
}
