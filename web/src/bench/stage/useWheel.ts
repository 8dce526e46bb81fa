import { useEffect, type RefObject } from "react";
import { geometry, zoomTo } from "../state/viewport";

/** The wheel zooms with the point under it staying where it is. */
export function useWheel(box: RefObject<HTMLDivElement | null>) {
  useEffect(() => {
    const el = box.current;
    if (!el) return;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      const r = el.getBoundingClientRect();
      zoomTo(geometry().scale * Math.exp(-e.deltaY * 0.0016), e.clientX - r.left, e.clientY - r.top);
    };
    el.addEventListener("wheel", wheel, { passive: false });
    return () => el.removeEventListener("wheel", wheel);
  }, [box]);
}
