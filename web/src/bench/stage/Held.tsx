import type { ReactNode } from "react";

/** How large what can be taken hold of is to the pointer, pixels: WCAG 2.2, 2.5.8. */
export const HIT = 24;

/** What can be taken hold of on the stage: the tool in hand does not hear of it. */
export function Held({ children }: { children: ReactNode }) {
  return <g onPointerDown={(e) => e.stopPropagation()}>{children}</g>;
}

/** A square to be taken hold of, and what of it can be hit. */
export function Square({ x, y, fill }: { x: number; y: number; fill: string }) {
  return (
    <>
      <rect x={x - HIT / 2} y={y - HIT / 2} width={HIT} height={HIT} fill="transparent" />
      <rect x={x - 4.5} y={y - 4.5} width={9} height={9} fill={fill} stroke="#222" />
    </>
  );
}

/** Pixels that an arrow key moves what is held by. */
export const stepOf = (e: { shiftKey: boolean; altKey: boolean }) => (e.shiftKey ? 40 : e.altKey ? 1 : 8);
