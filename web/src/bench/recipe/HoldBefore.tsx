import { IconButton, Tooltip } from "@mui/material";
import Contrast from "@mui/icons-material/Contrast";
import { showBefore } from "../state/gesture";

/** Shows the picture without a stage or a pass for as long as it is held, by pointer or by key. */
export function HoldBefore({ of, label }: { of: string; label: string }) {
  const off = () => showBefore("");
  return (
    <Tooltip title={`Hold: before ${label}`}>
      <IconButton
        aria-label={`Hold: before ${label}`}
        sx={{ p: 0.25 }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          showBefore(of);
        }}
        onPointerUp={off}
        onPointerCancel={off}
        onKeyDown={(e) => {
          if (e.key === " " || e.key === "Enter") {
            e.preventDefault();
            showBefore(of);
          }
        }}
        onKeyUp={off}
        onBlur={off}
      >
        <Contrast sx={{ fontSize: 15 }} />
      </IconButton>
    </Tooltip>
  );
}
