import { Alert, Button } from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";
import { count } from "../bench/words";
import { Said } from "../kit/Said";

/** What was done last to several views together, while it can be taken back. */
export function LastStep({ shoot }: { shoot: string }) {
  const queries = useQueryClient();
  const last = useQuery({
    queryKey: ["steps", shoot],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/steps", { params: { path: { shoot } } })),
    staleTime: 0,
  });
  const undo = useMutation({
    mutationFn: (id: string) =>
      data(server.POST("/api/shoots/{shoot}/steps/{id}/undo", { params: { path: { shoot, id } } })),
    onSettled: async () => {
      await queries.invalidateQueries({ queryKey: ["steps", shoot] });
      await queries.invalidateQueries({ queryKey: ["shoot", shoot] });
    },
  });
  const step = last.data?.[0];
  const stayed = undo.data?.stayed ?? [];
  return (
    <>
      <Said problem={undo.error} />
      {step && (
        <Alert
          severity="info"
          sx={{ mb: 1.5 }}
          action={
            <Button data-once disabled={undo.isPending} onClick={() => undo.mutate(step.id)}>
              Take it back
            </Button>
          }
        >
          {step.said}: {count(step.views, "view", "views")}.
        </Alert>
      )}
      {stayed.length > 0 && (
        <Alert severity="info" sx={{ mb: 1.5 }}>
          Changed since, and left as {stayed.length === 1 ? "it is" : "they are"}: {stayed.join(", ")}.
        </Alert>
      )}
    </>
  );
}
