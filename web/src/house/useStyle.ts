import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { data, server } from "../api/client";
import type { HouseStyle } from "../api/types";

type Use = { active: boolean };

const USE = ["house style", "use"];

/** The studio's house style, and whether first versions are made in it. */
export function useStyle() {
  const queries = useQueryClient();
  const style = useQuery({
    queryKey: ["house style"],
    queryFn: () => data(server.GET("/api/house-style")),
    staleTime: 0,
  });
  const use = useQuery({
    queryKey: USE,
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
    onMutate: (active) => queries.setQueryData<Use>(USE, { active }),
    onSettled: fresh,
  });
  const learn = useMutation({
    mutationFn: (views: string[]) => data(server.POST("/api/house-style/learned", { body: { views } })),
  });
  return { style, use, keep, turn, learn };
}
