import type { CastShadow, CoverPage, Point } from "../api/types";

/** Width and height of a page, its long edge 1. */
export const SHAPES: Record<CoverPage["format"], { name: string; wide: number; high: number }> = {
  LISTING: { name: "Listing, 3:2", wide: 1, high: 2 / 3 },
  A4: { name: "A4", wide: 210 / 297, high: 1 },
  SQUARE: { name: "Square", wide: 1, high: 1 },
};

/** A cover as it begins: the shoot's name over a view. */
export function begun(view: string, name: string): CoverPage {
  return {
    format: "LISTING",
    view,
    zoom: 1,
    across: 0.5,
    down: 0.5,
    text: name,
    font: "sans",
    at: { x: 0.5, y: 0.4 },
    size: Math.max(0.03, Math.min(0.12, 1.45 / Math.max(1, name.length))),
    fillView: "",
    colour: "#ffffff",
    relief: 0,
  };
}

/** A shadow as it begins, to be laid along one of the picture. */
export const SHADOW: CastShadow = {
  foot: { x: 0.3, y: 0.55 },
  tip: { x: 0.4, y: 0.6 },
  top: { x: 0.3, y: 0.45 },
  ground: true,
  length: 1,
  softness: 0.3,
  depth: 1,
};

/** A place held on the page. */
export function onPage(at: Point, format: CoverPage["format"]): Point {
  const { wide, high } = SHAPES[format];
  const held = (v: number, most: number) => Number(Math.min(most, Math.max(0, v)).toFixed(4));
  return { x: held(at.x, wide), y: held(at.y, high) };
}
