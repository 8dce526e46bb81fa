import type { ComponentType } from "react";
import type { Frame, Numbered, Part, Point, Recipe, Shape, ShapeOf } from "../../api/types";
import type { Tool } from "../tools/tool";

/** What can be taken hold of on the stage. */
export interface Grip<T = Shape> {
  at: Point;
  name: string;
  /** What it is after this grip was dragged to a place. */
  to: (p: Point) => T;
  /** What it is without the point that this grip holds, where it can be taken out. */
  without?: () => T;
}

/** What a part that is found, rather than drawn, can begin with. */
export interface Start {
  frames: Frame[];
  recipe: Recipe;
  /** The region that it is to join, empty for a new one. */
  region: string;
}

/** How a kind of part is offered, drawn, taken hold of and edited: one file a kind. */
export interface PartUi<K extends Shape["kind"] = Shape["kind"]> {
  kind: K;
  /** Its name on buttons. */
  name: string;
  /** Its name in a list of parts. */
  title: (shape: ShapeOf<K>) => string;
  /** How it is drawn on the stage; left out where it is found. */
  draw?: { key: string; how: string; tool: (defaults: Record<string, number>) => Tool };
  /** What it begins with beside its numbers where it is found; nothing where the view has nothing to offer. */
  found?: (start: Start) => Partial<ShapeOf<K>> | undefined;
  grips?: (shape: ShapeOf<K>) => Grip<ShapeOf<K>>[];
  /** Lines that show where it runs. */
  lines?: (shape: ShapeOf<K>) => Point[][];
  /** Middles of its sides where a point can be put in, and the shape with it. */
  sides?: (shape: ShapeOf<K>) => { at: Point; with: () => ShapeOf<K> }[];
  /** What it has to edit beside its numbers. */
  Editor?: ComponentType<EditorProps<K>>;
  /** Whether a number of it is of no use just now. */
  hides?: (shape: ShapeOf<K>, control: string) => boolean;
}

export interface EditorProps<K extends Shape["kind"]> {
  part: Part;
  shape: ShapeOf<K>;
  /** Changes it as one step. */
  onChange: (to: Partial<ShapeOf<K>>) => void;
  /** Changes it while a gesture is under way. */
  onMove: (to: Partial<ShapeOf<K>>) => void;
  onSettle: () => void;
}

/** The defaults of a kind's numbers, by name. */
export function defaultsOf(kinds: Numbered[], kind: string): Record<string, number> {
  const controls = kinds.find((k) => k.kind === kind)?.controls ?? [];
  return Object.fromEntries(controls.map((c) => [c.name, c.defaultValue]));
}

export const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
export const half = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
export const closed = (points: Point[]): Point[] => [...points, ...points.slice(0, 1)];
