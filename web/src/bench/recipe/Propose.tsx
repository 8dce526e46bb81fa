import { Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { ask } from "../../api/client";
import { propose, useBench } from "../store";
import { StageButton } from "./StageButton";

/** Lets the product propose passes for a stage; each says why it is there. */
export function Propose({ stage, name }: { stage: string; name?: string }) {
  const view = useBench((s) => s.sheet?.id);
  const [said, setSaid] = useState("");
  const [busy, setBusy] = useState(false);
  const stages = useQuery({
    queryKey: ["proposals", view],
    queryFn: () => ask<string[]>(`/api/views/${view}/proposals`),
    enabled: !!view,
    staleTime: Infinity,
  });
  if (!stages.data?.includes(stage)) return null;
  const start = async () => {
    setBusy(true);
    try {
      setSaid(await propose(stage));
    } catch (e) {
      setSaid(e instanceof Error ? e.message : String(e));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <StageButton onClick={() => !busy && void start()} label={name ?? `Propose for ${stage}`}>
        {busy ? "Looking …" : (name ?? "Propose")}
      </StageButton>
      {said && (
        <Typography variant="caption" component="div" role="status" sx={{ width: "100%" }}>
          {said}
        </Typography>
      )}
    </>
  );
}
