import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";
import type { Standing } from "../api/types";

const key = (shoot: string) => ["flight", shoot];

/** What there is to say of the views of a shoot before it is delivered. */
export function useFlight(shoot: string, asked = true) {
  return useQuery({
    queryKey: key(shoot),
    queryFn: () => data(server.GET("/api/shoots/{shoot}/pre-flight", { params: { path: { shoot } } })),
    staleTime: 0,
    enabled: asked,
  });
}

/** Looks the shoot over; lets a remark pass with a word, or stand again. */
export function useFlightChange(shoot: string) {
  const queries = useQueryClient();
  const after = { onSettled: () => queries.invalidateQueries({ queryKey: key(shoot) }) };
  const look = useMutation({
    mutationFn: () => data(server.POST("/api/shoots/{shoot}/pre-flight", { params: { path: { shoot } } })),
  });
  const accept = useMutation({
    mutationFn: ({ view, remark, word }: { view: string; remark: Standing; word: string }) =>
      data(
        server.POST("/api/views/{view}/accepted", {
          params: { path: { view } },
          body: { concern: remark.concern, pass: remark.pass, word },
        }),
      ),
    ...after,
  });
  const stand = useMutation({
    mutationFn: ({ view, remark }: { view: string; remark: Standing }) =>
      data(
        server.DELETE("/api/views/{view}/accepted", {
          params: { path: { view }, query: { concern: remark.concern, pass: remark.pass } },
        }),
      ),
    ...after,
  });
  return { look, accept, stand, again: after.onSettled };
}
