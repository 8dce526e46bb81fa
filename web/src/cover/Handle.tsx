import { Box } from "@mui/material";
import { useDrag } from "@use-gesture/react";
import type { RefObject } from "react";
import type { Point } from "../api/types";
import { ARROWS } from "../kit/arrows";
import { look } from "../theme";

/** A place on the page that is dragged, or moved by arrow keys (Shift coarse). */
export function Handle({
  name,
  at,
  stage,
  onMove,
  onSettle,
}: {
  name: string;
  /** In fractions of the page's long edge. */
  at: Point;
  stage: RefObject<HTMLElement | null>;
  onMove: (to: Point) => void;
  onSettle: () => void;
}) {
  const longEdge = () => {
    const box = stage.current?.getBoundingClientRect();
    return { left: box?.left ?? 0, top: box?.top ?? 0, long: Math.max(box?.width ?? 1, box?.height ?? 1) };
  };
  const drag = useDrag(
    ({ xy: [x, y], last, event }) => {
      event.preventDefault();
      const { left, top, long } = longEdge();
      onMove({ x: (x - left) / long, y: (y - top) / long });
      if (last) onSettle();
    },
    { pointer: { capture: true, keys: false } },
  );
  return (
    <Box
      component="button"
      type="button"
      aria-label={name}
      title={name}
      {...drag()}
      onKeyDown={(e) => {
        const way = ARROWS[e.key];
        if (!way) return;
        e.preventDefault();
        const by = e.shiftKey ? 0.02 : 0.002;
        onMove({ x: at.x + by * way[0], y: at.y + by * way[1] });
        onSettle();
      }}
      sx={{
        position: "absolute",
        width: 15,
        height: 15,
        p: 0,
        m: "-7.5px 0 0 -7.5px",
        border: `2px solid ${look.ink}`,
        outline: `1px solid ${look.white}`,
        bgcolor: look.amberFill,
        cursor: "move",
        touchAction: "none",
      }}
      // a fraction of the long edge, whichever that is
      style={{ left: `calc(var(--long) * ${at.x})`, top: `calc(var(--long) * ${at.y})` }}
    />
  );
}
