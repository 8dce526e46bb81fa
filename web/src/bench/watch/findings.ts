import { useQuery } from "@tanstack/react-query";
import { data, server } from "../../api/client";
import { useGesture } from "../state/gesture";
import { useHelpers } from "../state/helpers";
import { recipe as now, useHistory } from "../state/history";
import { kindOf, useView } from "../state/view";

/** Faults in the picture on the bench while it is watched; asked for once a gesture is over. */
export function useFindings() {
  const id = useView((s) => s.sheet?.id) ?? "";
  const watching = useHelpers((s) => s.watching);
  // what is not watched costs nothing
  const moving = useGesture((s) => watching && s.moving);
  const body = useHistory((s) => (watching ? s.settled : undefined));
  return useQuery({
    queryKey: ["watch", id, body],
    queryFn: () => {
      if (!body) throw new Error("There is no recipe yet.");
      return data(server.POST("/api/views/{id}/watch", { params: { path: { id } }, body }));
    },
    enabled: !moving && !!id && !!body,
    placeholderData: (before) => before,
    staleTime: Infinity,
    gcTime: 10_000,
  });
}

/** The stages whose passes make faults, while the picture is watched. */
export function useFaultStages(): string[] {
  const watching = useHelpers((s) => s.watching);
  const found = useFindings();
  if (!watching) return [];
  return (found.data ?? []).map((f) => kindOf(now()?.passes.find((p) => p.id === f.pass))?.stage ?? "Ground");
}
