import { Typography } from "@mui/material";
import { look } from "../../theme";
import { DRAWN } from "../parts";
import { useHand } from "../state/hand";

/** What tools that draw no part want. */
const HOW: Record<string, string | undefined> = {
  probe: "Click a surface to pin a probe.",
  line: "Drag along what is plumb or level; more lines set it upright. Esc ends.",
};

/** One line on what the tool in hand wants; more while the keyboard is on the picture. */
export function ToolHint({ keyboard }: { keyboard: boolean }) {
  const tool = useHand((s) => s.tool);
  const how = HOW[tool] ?? DRAWN.find((p) => p.kind === tool)?.draw?.how;
  return how ? (
    <Typography
      role="status"
      sx={{
        position: "absolute",
        top: 8,
        left: "50%",
        transform: "translateX(-50%)",
        px: 1,
        bgcolor: look.card,
        border: `1px solid ${look.amber}`,
        pointerEvents: "none",
        whiteSpace: "nowrap",
      }}
    >
      {how}
      {keyboard && " Arrow keys move the cross, Space presses and lets go."}
    </Typography>
  ) : null;
}
