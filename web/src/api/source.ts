import { useQuery } from "@tanstack/react-query";
import { data, server } from "./client";

/** A view that something is taken from, its recipe, and what that is made of. */
export function useSource(id: string) {
  const params = { path: { id } };
  return {
    sheet: useQuery({
      queryKey: ["sheet", id],
      queryFn: () => data(server.GET("/api/views/{id}", { params })),
      retry: false,
    }),
    recipe: useQuery({
      queryKey: ["recipe", id],
      queryFn: () => data(server.GET("/api/views/{id}/recipe", { params })),
      // it is worked on elsewhere
      gcTime: 0,
    }),
    kinds: useQuery({
      queryKey: ["catalogue"],
      queryFn: () => data(server.GET("/api/catalogue")),
      staleTime: Infinity,
    }),
  };
}

export type Source = ReturnType<typeof useSource>;
