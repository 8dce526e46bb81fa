import { Alert, Button } from "@mui/material";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";
import { count } from "../bench/words";
import { Said } from "../kit/Said";

/** What was carried over last, while it can be taken back. */
export function CarriedLast({ shoot }: { shoot: string }) {
  const queries = useQueryClient();
  const last = useQuery({
    queryKey: ["carried", shoot],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/carried", { params: { path: { shoot } } })),
    staleTime: 0,
  });
  const undo = useMutation({
    mutationFn: (id: string) => data(server.POST("/api/carried/{id}/undo", { params: { path: { id } } })),
    onSettled: async () => {
      await queries.invalidateQueries({ queryKey: ["carried", shoot] });
      await queries.invalidateQueries({ queryKey: ["shoot", shoot] });
    },
  });
  const carried = last.data?.[0];
  const stayed = undo.data?.stayed ?? [];
  return (
    <>
      <Said problem={undo.error} />
      {carried && (
        <Alert
          severity="info"
          sx={{ mb: 1.5 }}
          action={
            <Button data-once disabled={undo.isPending} onClick={() => undo.mutate(carried.id)}>
              Take it back
            </Button>
          }
        >
          Carried over from {carried.from} to {count(carried.views, "view", "views")}.
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
