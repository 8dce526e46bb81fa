import { create } from "zustand";
import { data, saidOf, server } from "../../api/client";
import type { Geometry, Lay, Point } from "../../api/types";
import { shownAt, under } from "../lay";
import { recipe } from "./history";
import { complain, fullSize, useView } from "./view";

/** Where what is shown lies on the view. */
export interface LayState {
  /** The geometry that it is of; while a control moves, one from just before. */
  of?: Geometry;
  /** Of the picture that is shown; none where it is the view as it lies. */
  lay?: Lay;
  /** Of the picture that is kept; none likewise. */
  kept?: Lay;
  /** Whether the picture that is shown is all that there is, and empty corners. */
  uncut: boolean;
  /** Whether it is to be, so that it can be cut. */
  cutting: boolean;
}

const start: LayState = { uncut: false, cutting: false };

export const useLay = create<LayState>(() => start);

export function resetLay() {
  useLay.setState(start, true);
}

const none = (g: Geometry) =>
  [g.turn, g.pitch, g.yaw, g.bulge, g.outer, g.red, g.blue, g.crop.width, g.crop.ratio].every((v) => v === 0);

async function find() {
  const of = recipe()?.geometry;
  const id = useView.getState().sheet?.id;
  const { of: known, cutting, uncut } = useLay.getState();
  if (!of || !id) return;
  if (known && uncut === cutting && JSON.stringify(of) === JSON.stringify(known)) {
    // the server's own copy of what is known
    useLay.setState({ of });
    return;
  }
  if (none(of)) {
    useLay.setState({ of, lay: undefined, kept: undefined, uncut: false });
    return;
  }
  const ask = (uncut: boolean) =>
    data(server.POST("/api/views/{id}/lay", { params: { path: { id }, query: { uncut } }, body: of }));
  try {
    const [kept, all] = await Promise.all([ask(false), cutting ? ask(true) : undefined]);
    const left = useView.getState().sheet?.id !== id;
    if (!left) useLay.setState({ of, kept, lay: all ?? kept, uncut: cutting });
  } catch (e) {
    complain(saidOf(e));
  }
}

let finding = false;
let due = false;

/** Finds out where the recipe's picture lies now; one question at a time, the newest after the one that is under way. */
export async function layAnew(): Promise<void> {
  due = true;
  if (finding) return;
  finding = true;
  while (due) {
    due = false;
    await find();
  }
  finding = false;
}

/** Shows all that there is, to be cut, or what is kept. */
export function cut(cutting: boolean) {
  useLay.setState({ cutting });
  void layAnew();
}

/** The size of the picture that is shown, pixels at full size. */
export function pictureSize(): { w: number; h: number } {
  const { lay } = useLay.getState();
  const { w, h } = fullSize();
  return lay ? { w: lay.width, h: lay.height } : { w, h };
}

/** Where the corner of the picture that is shown lies in the plane, pixels at full size. */
export function corner(): Point {
  const { lay } = useLay.getState();
  const { long } = fullSize();
  return { x: (lay?.left ?? 0) * long, y: (lay?.top ?? 0) * long };
}

/** Where a place of the view lies in the picture that is shown, pixels at full size. */
export const toPicture = (p: Point) => shownAt(useLay.getState().lay, fullSize(), p);

/** The place of the view at a place of the picture that is shown. */
export const toView = (x: number, y: number): Point => under(useLay.getState().lay, fullSize(), x, y);
