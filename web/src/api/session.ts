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
