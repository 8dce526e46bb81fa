import { addPart, geometry, put, useBench } from "../../store";
import { longEdge, type Hand } from "./hand";

/** Outline: idle → placing points → closed by Enter or on the first point. */
export function outlineHand(): Hand {
  return {
    cursor: "crosshair",
    down: (at) => {
      const { draft } = useBench.getState();
      const first = draft[0];
      const near =
        first && Math.hypot(first.x - at.point.x, first.y - at.point.y) * longEdge() * geometry().scale < 9;
      if (near && draft.length > 2) closeOutline(at.alt);
      else put({ draft: [...draft, at.point] });
    },
    move: () => {},
    up: () => {},
  };
}

export function closeOutline(takeAway: boolean) {
  const { draft, combine } = useBench.getState();
  if (draft.length < 3) return;
  addPart({ kind: "outline", points: draft, smooth: false }, takeAway ? "TAKE_AWAY" : combine);
  put({ draft: [], tool: "look" });
}
