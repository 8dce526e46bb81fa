import { Box } from "@mui/material";
import { useDrag } from "@use-gesture/react";
import { within } from "../../kit/numbers";
import { look } from "../../theme";
import { useGesture } from "../state/gesture";
import { useViewport } from "../state/viewport";
import { useWipe } from "../state/wipe";

/** The line between the camera's picture and ours; dragged, or moved by arrow keys. */
export function WipeLine() {
  const on = useWipe((s) => s.mode === "wipe");
  const at = useWipe((s) => s.at);
  const hidden = useGesture((s) => !!s.before);
  const alone = useViewport((s) => s.alone);
  const put = (to: number) => useWipe.setState({ at: within(to, 0, 1) });
  const drag = useDrag(
    ({ xy: [x], currentTarget, event }) => {
      event.stopPropagation();
      const box = (currentTarget as HTMLElement).parentElement?.getBoundingClientRect();
      if (box) put((x - box.left) / box.width);
    },
    { pointer: { capture: true, keys: false } },
  );
  if (!on || hidden || alone) return null;
  return (
    <Box
      role="slider"
      tabIndex={0}
      aria-label="Wipe: the camera's picture left, ours right"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(100 * at)}
      aria-valuetext={`${Math.round(100 * at)} % across`}
      onKeyDown={(e) => {
        const by = { ArrowLeft: -0.02, ArrowRight: 0.02 }[e.key];
        if (!by) return;
        e.preventDefault();
        put(at + by);
      }}
      {...drag()}
      style={{ left: `calc(${100 * at}% - 12px)` }}
      sx={{
        position: "absolute",
        top: 0,
        bottom: 0,
        width: 24,
        cursor: "ew-resize",
        touchAction: "none",
        "&::before": {
          content: '""',
          position: "absolute",
          left: 11,
          top: 0,
          bottom: 0,
          width: 2,
          bgcolor: look.white,
          outline: `1px solid ${look.ink}`,
        },
        "&::after": {
          content: '"camera  ·  ours"',
          whiteSpace: "pre",
          position: "absolute",
          left: 12,
          bottom: 8,
          transform: "translateX(-50%)",
          bgcolor: look.ink,
          color: look.white,
          fontSize: 11,
          px: 0.75,
        },
      }}
    />
  );
}
