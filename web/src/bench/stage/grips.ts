import type { Point, Shape } from "../../api/client";
import { readPath } from "./hands/path";

/** What can be taken hold of on a shape. */
export interface Grip {
  at: Point;
  name: string;
  /** The shape after this grip was dragged to a place. */
  to: (p: Point) => Shape;
}

const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
const half = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });

/** The grips of a shape; none where it is found rather than drawn. */
export function grips(shape: Shape): Grip[] {
  switch (shape.kind) {
    case "outline":
      return shape.points.map((at, i) => ({
        at,
        name: "Point",
        to: (p) => ({ ...shape, points: shape.points.map((o, k) => (k === i ? p : o)) }),
      }));
    case "panel":
      return shape.corners.map((at, i) => ({
        at,
        name: "Corner",
        to: (p) => ({ ...shape, corners: shape.corners.map((o, k) => (k === i ? p : o)) }),
      }));
    case "ramp":
      return [
        { at: shape.from, name: "Full from here", to: (from) => ({ ...shape, from }) },
        { at: shape.to, name: "Ends here", to: (to) => ({ ...shape, to }) },
        {
          at: half(shape.from, shape.to),
          name: "Move",
          to: (p) => {
            const by = minus(p, half(shape.from, shape.to));
            return { ...shape, from: plus(shape.from, by), to: plus(shape.to, by) };
          },
        },
      ];
    case "ellipse": {
      const turn = (shape.turn * Math.PI) / 180;
      const along = { x: Math.cos(turn), y: Math.sin(turn) };
      const across = { x: -along.y, y: along.x };
      const reach = (p: Point) => minus(p, shape.centre);
      return [
        { at: shape.centre, name: "Move", to: (centre) => ({ ...shape, centre }) },
        {
          at: plus(shape.centre, { x: along.x * shape.wide, y: along.y * shape.wide }),
          name: "Width and turn",
          to: (p) => {
            const d = reach(p);
            const degrees = (Math.atan2(d.y, d.x) * 180) / Math.PI;
            return {
              ...shape,
              wide: Math.max(0.002, Math.hypot(d.x, d.y)),
              turn: Math.round(degrees * 10) / 10,
            };
          },
        },
        {
          at: plus(shape.centre, { x: across.x * shape.high, y: across.y * shape.high }),
          name: "Height",
          to: (p) => {
            const d = reach(p);
            return { ...shape, high: Math.max(0.002, Math.abs(d.x * across.x + d.y * across.y)) };
          },
        },
      ];
    }
    case "similar-colour":
      return [{ at: shape.at, name: "The place whose colour is wanted", to: (at) => ({ ...shape, at }) }];
    default:
      return [];
  }
}

/** The lines that show where a drawn shape runs. */
export function lines(shape: Shape): Point[][] {
  switch (shape.kind) {
    case "outline":
      return shape.smooth ? [] : [[...shape.points, ...shape.points.slice(0, 1)]];
    case "loop": {
      const path = readPath(shape.path);
      return [[...path, ...path.slice(0, 1)]];
    }
    case "panel":
      return [[...shape.corners, shape.corners[0]]];
    case "ramp": {
      const d = minus(shape.to, shape.from);
      const side = { x: -d.y, y: d.x };
      const across = (p: Point) => [plus(p, side), minus(p, side)];
      return [[shape.from, shape.to], across(shape.from), across(shape.to)];
    }
    case "ellipse": {
      const turn = (shape.turn * Math.PI) / 180;
      const ring = Array.from({ length: 61 }, (_, i) => {
        const t = (i / 60) * 2 * Math.PI;
        const u = Math.cos(t) * shape.wide;
        const v = Math.sin(t) * shape.high;
        return plus(shape.centre, {
          x: u * Math.cos(turn) - v * Math.sin(turn),
          y: u * Math.sin(turn) + v * Math.cos(turn),
        });
      });
      return [ring];
    }
    default:
      return [];
  }
}

/** A point of an outline is put in the middle of a side. */
export function withPoint(shape: Shape, side: number): Shape {
  if (shape.kind !== "outline") return shape;
  const next = shape.points[(side + 1) % shape.points.length];
  const points = [...shape.points];
  points.splice(side + 1, 0, half(shape.points[side], next));
  return { ...shape, points };
}

/** An outline without one of its points; it keeps at least three. */
export function withoutPoint(shape: Shape, at: number): Shape {
  return shape.kind === "outline" && shape.points.length > 3
    ? { ...shape, points: shape.points.filter((_, i) => i !== at) }
    : shape;
}

/** Middles of an outline's sides, where a point can be put in. */
export function sides(shape: Shape): Point[] {
  return shape.kind === "outline"
    ? shape.points.map((p, i) => half(p, shape.points[(i + 1) % shape.points.length]))
    : [];
}
