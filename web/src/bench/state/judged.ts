import { keepPreviousData, useQuery } from "@tanstack/react-query";
import type { Recipe } from "../../api/types";
import { useGesture } from "./gesture";
import { useHistory } from "./history";
import { useView } from "./view";

/**
 * An answer of the server about the recipe: faults, dust, darks. It is asked for when the control rests; the last answer shows until then.
 * What is not wanted costs nothing.
 *
 * @param what names the question
 */
export function useJudged<T>(what: string[], wanted: boolean, ask: (id: string, body: Recipe) => Promise<T>) {
  const id = useView((s) => s.sheet?.id) ?? "";
  const moving = useGesture((s) => wanted && s.moving);
  const body = useHistory((s) => (wanted ? s.settled : undefined));
  return useQuery<T>({
    queryKey: [...what, id, body],
    queryFn: () => {
      if (!body) throw new Error("There is no recipe yet.");
      return ask(id, body);
    },
    enabled: !moving && !!id && !!body,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 10_000,
  });
}
