import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";
import type { HouseStyle } from "../api/types";

/** The studio's house style, and whether first versions are made in it. */
export function useStyle() {
  const queries = useQueryClient();
  const style = useQuery({
    queryKey: ["house style"],
    queryFn: () => data(server.GET("/api/house-style")),
    staleTime: 0,
  });
  const use = useQuery({
    queryKey: ["house style", "use"],
    queryFn: () => data(server.GET("/api/house-style/use")),
    staleTime: 0,
  });
  const fresh = () => queries.invalidateQueries({ queryKey: ["house style"] });
  const keep = useMutation({
    mutationFn: (body: HouseStyle) => data(server.PUT("/api/house-style", { body })),
    onSuccess: fresh,
  });
  const turn = useMutation({
    mutationFn: (active: boolean) => data(server.PUT("/api/house-style/use", { body: { active } })),
    onSettled: fresh,
  });
  const learn = useMutation({
    mutationFn: (views: string[]) => data(server.POST("/api/house-style/learned", { body: { views } })),
  });
  const used = turn.isPending ? turn.variables : use.data?.active;
  return { style, used, keep, turn, learn };
}
