import { data, server } from "../../api/client";
import { useHelpers } from "../state/helpers";
import { recipe as now } from "../state/history";
import { useJudged } from "../state/judged";
import { kindOf } from "../state/view";

/** Faults in the picture on the bench while it is watched. */
export function useFindings() {
  const watching = useHelpers((s) => s.watching);
  return useJudged(["watch"], watching, (id, body) =>
    data(server.POST("/api/views/{id}/watch", { params: { path: { id } }, body })),
  );
}

/** The stages whose passes make faults, while the picture is watched. */
export function useFaultStages(): string[] {
  const watching = useHelpers((s) => s.watching);
  const found = useFindings();
  if (!watching) return [];
  return (found.data ?? []).map((f) => kindOf(now()?.passes.find((p) => p.id === f.pass))?.stage ?? "Ground");
}
