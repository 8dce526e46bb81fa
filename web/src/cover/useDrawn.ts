import { useEffect, useRef, useState } from "react";
import { data, saidOf, server } from "../api/client";
import type { CoverPage } from "../api/types";

interface Drawn {
  picture: Blob;
  /** Whether a shadow was found along the line that was marked. */
  shadowSeen: boolean;
}

async function drawn(page: CoverPage, edge: number): Promise<Drawn> {
  const asked = server.POST("/api/cover-pages/drawn", {
    params: { query: { edge } },
    body: page,
    parseAs: "blob",
  });
  const picture = await data<Blob>(asked);
  const { response } = await asked;
  return { picture, shadowSeen: response.headers.get("X-Shadow-Seen") !== "false" };
}

/** A cover's picture, drawn anew as its page changes; what is asked for while one is drawn waits, the last alone. */
export function useDrawn(page: CoverPage | undefined, edge: number) {
  const [shown, setShown] = useState<Drawn>();
  const [problem, setProblem] = useState<string>();
  const busy = useRef(false);
  const wanted = useRef<CoverPage>(undefined);
  useEffect(() => {
    wanted.current = page;
    const draw = async () => {
      busy.current = true;
      while (wanted.current) {
        const next = wanted.current;
        wanted.current = undefined;
        try {
          setShown(await drawn(next, edge));
          setProblem(undefined);
        } catch (e) {
          setProblem(saidOf(e));
        }
      }
      busy.current = false;
    };
    if (!busy.current) void draw();
    return () => {
      wanted.current = undefined;
    };
  }, [page, edge]);
  return { shown, problem };
}
