import { data, saidOf, server } from "../../api/client";
import type { Geometry, Point } from "../../api/types";
import { move, settle } from "../state/gesture";
import { edit, recipe } from "../state/history";
import { complain, useView } from "../state/view";

/** What is worked on while the picture is turned or cut: no pass. */
export const GEOMETRY = "geometry";

/** The picture as its anchor lies. */
export const AS_IT_LIES: Geometry = {
  turn: 0,
  pitch: 0,
  yaw: 0,
  strength: 1,
  focal: 24,
  bulge: 0,
  outer: 0,
  red: 0,
  blue: 0,
  crop: { ratio: 0, left: 0, top: 0, width: 0, height: 0 },
  why: "",
};

/** Changes how the picture lies while a gesture is under way. */
export function changeGeometry(to: Partial<Geometry>) {
  edit((r) => void Object.assign(r.geometry, to));
}

/** The same as one step. */
export function setGeometry(to: Partial<Geometry>) {
  changeGeometry(to);
  settle();
}

export type GeometryNumber = Exclude<keyof Geometry, "crop" | "why">;

/** A control of it moves. */
export function moveGeometry(name: GeometryNumber, value: number) {
  move(GEOMETRY);
  changeGeometry({ [name]: value, why: "" });
}

/** A line of the view that is plumb or level in the room. */
export interface Leaning {
  from: Point;
  to: Point;
}

/** Straightens by lines, from how the picture lay when the first of them was drawn. */
export async function straighten(geometry: Geometry, lines: Leaning[]) {
  const id = useView.getState().sheet?.id;
  if (!id) return;
  try {
    const straight = await data(
      server.POST("/api/views/{id}/straightened", { params: { path: { id } }, body: { geometry, lines } }),
    );
    if (recipe()) setGeometry({ ...straight, why: "" });
  } catch (e) {
    complain(saidOf(e));
  }
}
