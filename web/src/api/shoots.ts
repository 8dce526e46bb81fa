import { useQuery } from "@tanstack/react-query";
import { data, server } from "./client";

/** A shoot with its views. */
export function useShoot(id: string) {
  return useQuery({
    queryKey: ["shoot", id],
    queryFn: () => data(server.GET("/api/shoots/{id}", { params: { path: { id } } })),
    retry: false,
  });
}
