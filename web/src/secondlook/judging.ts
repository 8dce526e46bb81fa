import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";

/** What is said of views by hand. */
export interface Judging {
  views: string[];
  judged: "REST" | "READY" | "WORK";
  until?: string;
}

/** Says the same of several views. */
export function useJudging() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Judging) => data(server.POST("/api/views/judged", { body })),
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: ["shoot"] }),
        queries.invalidateQueries({ queryKey: ["second look"] }),
      ]),
  });
}

/** Keeps a word on a view. */
export function useNoting() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ view, note }: { view: string; note: string }) =>
      data(server.PUT("/api/views/{id}/note", { params: { path: { id: view } }, body: { note } })),
    onSettled: () => queries.invalidateQueries({ queryKey: ["shoot"] }),
  });
}

/** All views that rest, the first to be seen in front. */
export function useResting() {
  return useQuery({
    queryKey: ["second look"],
    queryFn: () => data(server.GET("/api/second-look")),
    staleTime: 0,
    // time goes by
    refetchInterval: 60_000,
  });
}
