import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { ask, type Job } from "./client";

const REFRESH = 2000;

/** The jobs of a shoot, live. */
export function useJobs(shoot: string | undefined, changed?: (job: Job) => void): Job[] {
  const [jobs, setJobs] = useState<Job[]>([]);
  const queries = useQueryClient();
  useEffect(() => {
    if (!shoot) return;
    let open = true;
    let told = 0;
    const put = (job: Job) => {
      if (!open) return;
      setJobs((all) => [job, ...all.filter((j) => j.id !== job.id)]);
      if (job.state !== "RUNNING" && job.state !== "WAITING") {
        void queries.invalidateQueries({ queryKey: ["shoot", shoot] });
        void queries.invalidateQueries({ queryKey: ["delivered", shoot] });
        void queries.invalidateQueries({ queryKey: ["shoots"] });
      }
      if (Date.now() - told > REFRESH) {
        // views come one by one while a card is taken in
        told = Date.now();
        void queries.invalidateQueries({ queryKey: ["shoot", shoot] });
      }
      changed?.(job);
    };
    void ask<Job[]>(`/api/shoots/${shoot}/jobs`).then((all) => open && setJobs(all));
    const source = new EventSource(`/api/shoots/${shoot}/progress`);
    source.addEventListener("job", (e) => put(JSON.parse((e as MessageEvent<string>).data) as Job));
    return () => {
      open = false;
      source.close();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [shoot]);
  return jobs;
}
