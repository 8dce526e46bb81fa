import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";

const KEY = ["studio"];

/** The studio as its owners see it. */
export function useStudio() {
  return useQuery({ queryKey: KEY, queryFn: () => data(server.GET("/api/studio")) });
}

/** Something that changes the studio; what is shown follows. */
export function useStudioChange<T, R>(change: (what: T) => Promise<R>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: KEY }),
        queries.invalidateQueries({ queryKey: ["session"] }),
      ]),
  });
}
