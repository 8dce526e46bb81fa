import { useQuery } from "@tanstack/react-query";
import type { FileAnswer } from "../api/types";
import { data, server } from "../api/client";

/** Answers of the listing desk to the files of a shoot, the newest deliveries first. */
export function useDesk(shoot: string) {
  return useQuery({
    queryKey: ["desk", shoot],
    queryFn: () => data(server.GET("/api/shoots/{shoot}/desk", { params: { path: { shoot } } })),
    staleTime: 0,
  });
}

/** Answers to a view's files in its last delivery that was sent. */
export function lastOf(answers: FileAnswer[], view: string): FileAnswer[] {
  const of = answers.filter((a) => a.view === view);
  return of.filter((a) => a.job === of[0]?.job);
}
