import { Typography } from "@mui/material";
import { data, server } from "../../api/client";
import type { Pass } from "../../api/types";
import { look } from "../../theme";
import { useHistory } from "../state/history";
import { useJudged } from "../state/judged";

/** Why a pass does nothing where it is, such as a shadow that has no edge there. */
export function Idle({ pass }: { pass: Pass }) {
  const there = useHistory((s) => !!s.settled?.passes.some((p) => p.id === pass.id && p.on));
  const { data: idle } = useJudged(["idle", pass.id], there, (id, body) =>
    data(server.POST("/api/views/{id}/idle/{pass}", { params: { path: { id, pass: pass.id } }, body })),
  );
  if (!there || !idle?.said) return null;
  return (
    <Typography role="status" variant="caption" component="div" sx={{ mt: 0.5, color: look.alarm }}>
      {idle.said}
    </Typography>
  );
}
