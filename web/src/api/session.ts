import { useQuery } from "@tanstack/react-query";
import { data, Refused, server } from "./client";

/** Who is signed in; nothing where nobody is. */
export function useSession() {
  return useQuery({
    queryKey: ["session"],
    queryFn: async () => {
      try {
        return await data(server.GET("/api/session"));
      } catch (e) {
        if (e instanceof Refused && e.status === 401) return null;
        throw e;
      }
    },
  });
}

/** Whether there is nobody yet, so that a studio can be founded; asked where nobody is signed in. */
export function useFirst(asked: boolean) {
  return useQuery({ queryKey: ["first"], queryFn: () => data(server.GET("/api/first")), enabled: asked });
}
