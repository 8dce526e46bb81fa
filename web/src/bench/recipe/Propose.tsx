import { Typography } from "@mui/material";
import { useMutation, useQuery } from "@tanstack/react-query";
import { data, saidOf, server } from "../../api/client";
import { propose } from "../edits/passes";
import { useView } from "../state/view";
import { StageButton } from "./StageButton";

/** Lets the product suggest passes for a stage; each says why it is there. */
export function Propose({ stage, name }: { stage: string; name?: string }) {
  const id = useView((s) => s.sheet?.id) ?? "";
  const stages = useQuery({
    queryKey: ["proposals", id],
    queryFn: () => data(server.GET("/api/views/{id}/proposals", { params: { path: { id } } })),
    enabled: !!id,
    staleTime: Infinity,
  });
  const work = useMutation({ mutationFn: () => propose(stage) });
  if (!stages.data?.includes(stage)) return null;
  const said = work.error ? saidOf(work.error) : work.data;
  return (
    <>
      <StageButton onClick={() => !work.isPending && work.mutate()} label={name ?? `Suggest for ${stage}`}>
        {work.isPending ? "Looking …" : (name ?? "Suggest")}
      </StageButton>
      {said && (
        <Typography variant="caption" component="div" role="status" sx={{ width: "100%" }}>
          {said}
        </Typography>
      )}
    </>
  );
}
