import { Typography } from "@mui/material";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { data, server } from "../../api/client";
import type { Pass } from "../../api/types";
import { look } from "../../theme";
import { useGesture } from "../state/gesture";
import { useHistory } from "../state/history";
import { useView } from "../state/view";

/** The slope of the tones in the darks that a pass lifts, and a warning where they turn to mud. */
export function LiftedDarks({ pass }: { pass: Pass }) {
  const id = useView((s) => s.sheet?.id) ?? "";
  const moving = useGesture((s) => s.moving);
  const body = useHistory((s) => s.settled);
  const there = body?.passes.some((p) => p.id === pass.id);
  const { data: darks } = useQuery({
    queryKey: ["darks", id, pass.id, body],
    queryFn: () => {
      if (!body) throw new Error("There is no recipe yet.");
      const path = { id, pass: pass.id };
      return data(server.POST("/api/views/{id}/darks/{pass}", { params: { path }, body }));
    },
    enabled: !moving && !!id && there,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 10_000,
  });
  if (!darks?.lifts) return null;
  const slope = `Slope of the lifted darks ${darks.slope.toFixed(2)}`;
  return (
    <Typography
      role={darks.mud ? "status" : undefined}
      variant="caption"
      component="div"
      sx={{ textAlign: "right", color: darks.mud ? look.alarm : undefined }}
    >
      {darks.mud ? `Mud: ${slope.toLowerCase()}. Lift less, or a wider range of darks.` : slope}
    </Typography>
  );
}
