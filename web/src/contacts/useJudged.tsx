import { useState } from "react";
import type { ViewCard } from "../api/types";
import { count } from "../bench/words";
import { useJudging } from "../secondlook/judging";
import { Rest } from "../secondlook/Rest";
import { Note } from "./Note";

/** What is said of views by hand, and the dialogs that it needs. */
export function useJudged(views: ViewCard[]) {
  const judging = useJudging();
  const [resting, setResting] = useState<string[]>();
  const [noting, setNoting] = useState<string>();
  const noted = views.find((v) => v.id === noting);
  const only = resting?.length === 1 ? views.find((v) => v.id === resting[0])?.name : undefined;
  return {
    problem: judging.error,
    ready: (ids: string[]) => judging.mutate({ views: ids, judged: "READY" }),
    work: (ids: string[]) => judging.mutate({ views: ids, judged: "WORK" }),
    rest: setResting,
    note: setNoting,
    dialogs: (
      <>
        {noted && <Note key={noted.id} view={noted} onClose={() => setNoting(undefined)} />}
        {resting && (
          <Rest
            what={only ?? count(resting.length, "view", "views")}
            onClose={() => setResting(undefined)}
            onRest={(until) => {
              judging.mutate({ views: resting, judged: "REST", until });
              setResting(undefined);
            }}
          />
        )}
      </>
    ),
  };
}
