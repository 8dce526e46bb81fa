import { Typography } from "@mui/material";
import { data, server } from "../../api/client";
import type { Pass } from "../../api/types";
import { look } from "../../theme";
import { useHistory } from "../state/history";
import { useJudged } from "../state/judged";
import { slopeOfDarks } from "../words";

/** The slope of the tones in the darks that a pass lifts, and a warning where they turn to mud. */
export function LiftedDarks({ pass }: { pass: Pass }) {
  const there = useHistory((s) => !!s.settled?.passes.some((p) => p.id === pass.id));
  const { data: darks } = useJudged(["darks", pass.id], there, (id, body) =>
    data(server.POST("/api/views/{id}/darks/{pass}", { params: { path: { id, pass: pass.id } }, body })),
  );
  if (!darks?.lifts) return null;
  const slope = slopeOfDarks(darks.slope);
  return (
    <Typography
      role={darks.mud ? "status" : undefined}
      variant="caption"
      component="div"
      sx={{
        textAlign: "right",
        "&::first-letter": { textTransform: "uppercase" },
        color: darks.mud ? look.alarm : undefined,
      }}
    >
      {darks.mud ? `Mud: ${slope}. Lift less, or a wider range of darks.` : slope}
    </Typography>
  );
}
