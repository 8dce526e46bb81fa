import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { data, server } from "./client";
import type { Job } from "./types";

const REFRESH = 2000;

export const underWay = (job: Job) => job.state === "RUNNING" || job.state === "WAITING";

/** The jobs of a shoot, live. */
export function useJobs(shoot: string): Job[] {
  const [jobs, setJobs] = useState<Job[]>([]);
  const queries = useQueryClient();
  useEffect(() => {
    if (!shoot) return;
    let open = true;
    let told = 0;
    const put = (job: Job) => {
      if (!open) return;
      setJobs((all) => [job, ...all.filter((j) => j.id !== job.id)]);
      if (!underWay(job)) {
        void queries.invalidateQueries({ queryKey: ["shoot", shoot] });
        void queries.invalidateQueries({ queryKey: ["delivered", shoot] });
        void queries.invalidateQueries({ queryKey: ["desk", shoot] });
        void queries.invalidateQueries({ queryKey: ["shoots"] });
      }
      if (Date.now() - told > REFRESH) {
        // views come one by one while a card is taken in
        told = Date.now();
        void queries.invalidateQueries({ queryKey: ["shoot", shoot] });
      }
    };
    data(server.GET("/api/shoots/{shoot}/jobs", { params: { path: { shoot } } }))
      .then((all) => open && setJobs(all))
      // the screen says itself what is wrong with the shoot
      .catch(() => {});
    const source = new EventSource(`/api/shoots/${shoot}/progress`);
    source.addEventListener("job", (e) => put(JSON.parse((e as MessageEvent<string>).data) as Job));
    return () => {
      open = false;
      source.close();
    };
  }, [shoot, queries]);
  return jobs;
}
