import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";
import type { KeptSpecification, Specification } from "../api/types";

/** The studio's specifications, and the formats and colour spaces on offer. */
export function useSpecifications() {
  const kept = useQuery({
    queryKey: ["specifications"],
    queryFn: () => data(server.GET("/api/specifications")),
  });
  const formats = useQuery({ queryKey: ["formats"], queryFn: () => data(server.GET("/api/formats")) });
  const spaces = useQuery({
    queryKey: ["colour-spaces"],
    queryFn: () => data(server.GET("/api/colour-spaces")),
  });
  return {
    kept: kept.data ?? [],
    formats: formats.data ?? [],
    spaces: spaces.data ?? [],
    error: kept.error ?? formats.error ?? spaces.error,
  };
}

/** Keeps a specification: a new one, or what one has become; and removes one. */
export function useSpecificationChange() {
  const queries = useQueryClient();
  const after = { onSuccess: () => queries.invalidateQueries({ queryKey: ["specifications"] }) };
  const keep = useMutation({
    mutationFn: ({ id, body }: { id?: string; body: Specification }): Promise<KeptSpecification> =>
      id
        ? data(server.PUT("/api/specifications/{id}", { params: { path: { id } }, body }))
        : data(server.POST("/api/specifications", { body })),
    ...after,
  });
  const remove = useMutation({
    mutationFn: (id: string) => data(server.DELETE("/api/specifications/{id}", { params: { path: { id } } })),
    ...after,
  });
  return { keep, remove };
}
