import { useQuery } from "@tanstack/react-query";
import { data, server } from "../../api/client";
import { useGesture } from "../state/gesture";
import { useHelpers } from "../state/helpers";
import { recipe as now, useHistory } from "../state/history";
import { useView } from "../state/view";

/** Faults in the picture on the bench while it is watched; asked for once a gesture is over. */
export function useFindings() {
  const id = useView((s) => s.sheet?.id) ?? "";
  const watching = useHelpers((s) => s.watching);
  const moving = useGesture((s) => s.moving);
  const body = useHistory((s) => s.settled);
  return useQuery({
    queryKey: ["watch", id, body],
    queryFn: () => {
      if (!body) throw new Error("There is no recipe yet.");
      return data(server.POST("/api/views/{id}/watch", { params: { path: { id } }, body }));
    },
    enabled: watching && !moving && !!id && !!body,
    placeholderData: (before) => before,
    staleTime: Infinity,
    gcTime: 10_000,
  });
}

/** The stages whose passes make faults, while the picture is watched. */
export function useFaultStages(): string[] {
  const watching = useHelpers((s) => s.watching);
  const found = useFindings();
  const kinds = useView((s) => s.kinds);
  if (!watching) return [];
  return (found.data ?? []).map((f) => {
    const pass = now()?.passes.find((p) => p.id === f.pass);
    return kinds.find((k) => k.kind === pass?.move.kind)?.stage ?? "Ground";
  });
}
