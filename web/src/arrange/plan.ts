import type { ViewSheet, WaitingFrame, WaitingSheet } from "../api/types";

/** What is arranged: a frame that waits, or one that is in a view. */
export type Arranged = Omit<WaitingFrame, "burnt" | "blocked">;

/** A view as it is to be; the photographer may change everything about it. */
export interface Planned {
  /** The view that is there already, by its id. */
  view?: string;
  name: string;
  anchor: string;
  wanted: boolean;
  /** The view that its frames come to, where it is no new one. */
  into?: string;
  frames: Arranged[];
}

/**
 * The views as the rules grouped them. What is here already is not wanted again, nor is what lies
 * on the card where somebody has sent files of their own.
 */
export function planOf(sheet: WaitingSheet): Planned[] {
  const sent = (v: { frames: WaitingFrame[] }) => v.frames.some((f) => f.id.startsWith("sent/"));
  const own = sheet.views.some(sent);
  return sheet.views.map((v) => ({ ...v, wanted: v.frames.some((f) => !f.known) && (!own || sent(v)) }));
}

/** The views of a shoot as they are. */
export function planOfViews(views: ViewSheet[]): Planned[] {
  return views.map((v) => ({
    view: v.id,
    name: v.name,
    anchor: v.frames.find((f) => f.anchor)?.id ?? "",
    wanted: true,
    frames: v.frames.map((f) => ({
      ...f,
      width: v.width,
      height: v.height,
      flash: f.role === "FLASH",
      known: false,
    })),
  }));
}

/**
 * A plan that was changed by hand, with what has come since: frames of views that it has join them,
 * other views come behind, and frames that no longer wait are gone.
 */
export function reconciled(plan: Planned[], sheet: WaitingSheet): Planned[] {
  const fresh = planOf(sheet);
  const now = new Map(fresh.flatMap((v) => v.frames).map((f) => [f.id, f]));
  const here = new Set(plan.flatMap((v) => v.frames).map((f) => f.id));
  const kept = plan.map((v) => {
    const frames = v.frames.flatMap((f) => {
      const is = now.get(f.id);
      return is ? [{ ...is, role: f.role }] : [];
    });
    const own = new Set(frames.map((f) => f.id));
    const more = fresh
      .filter((o) => o.frames.some((f) => own.has(f.id)))
      .flatMap((o) => o.frames.filter((f) => !here.has(f.id)));
    more.forEach((f) => here.add(f.id));
    return { ...v, frames: [...frames, ...more], anchor: anchorOf([...frames, ...more], v.anchor) };
  });
  const behind = fresh.filter((v) => v.frames.every((f) => !here.has(f.id)));
  return [...kept.filter((v) => v.frames.length > 0), ...behind];
}

/** The anchor of a view whose frames have changed: the one before, else the middle ambient frame. */
function anchorOf(frames: Arranged[], before: string): string {
  if (frames.some((f) => f.id === before)) return before;
  const ambient = frames.filter((f) => f.role === "AMBIENT");
  return (ambient[Math.floor(ambient.length / 2)] ?? frames[0])?.id ?? "";
}

export function changed(plan: Planned[], at: number, to: Partial<Planned>): Planned[] {
  return plan.map((v, i) => (i === at ? { ...v, ...to } : v));
}

/** A view parted in two before one of its frames. */
export function split(plan: Planned[], at: number, frame: number): Planned[] {
  const v = plan[at];
  if (!v) return plan;
  const part = (frames: Arranged[], name: string, view?: string): Planned => ({
    ...v,
    view,
    name,
    frames,
    anchor: anchorOf(frames, v.anchor),
  });
  return plan.toSpliced(
    at,
    1,
    part(v.frames.slice(0, frame), v.name, v.view),
    part(v.frames.slice(frame), `${v.name} b`),
  );
}

/** A view joined to the one above. */
export function merge(plan: Planned[], at: number): Planned[] {
  const above = plan[at - 1];
  const own = plan[at];
  if (!above || !own) return plan;
  return plan.toSpliced(at - 1, 2, {
    ...above,
    view: above.view ?? own.view,
    frames: [...above.frames, ...own.frames],
  });
}

function without(v: Planned, goes: Set<string>): Planned {
  const frames = v.frames.filter((f) => !goes.has(f.id));
  return frames.length === v.frames.length ? v : { ...v, frames, anchor: anchorOf(frames, v.anchor) };
}

/** Frames moved to another view, or to a new one behind all where there is none; a view without frames goes. */
export function moveFrames(plan: Planned[], ids: string[], to: number): Planned[] {
  const goes = new Set(ids);
  const moved = plan.flatMap((v, i) => (i === to ? [] : v.frames.filter((f) => goes.has(f.id))));
  if (moved.length === 0) return plan;
  const left = plan.map((v, i) => (i === to ? { ...v, frames: [...v.frames, ...moved] } : without(v, goes)));
  const fresh: Planned = { name: "New view", anchor: anchorOf(moved, ""), wanted: true, frames: moved };
  return [...left, ...(plan[to] ? [] : [fresh])].filter((v) => v.frames.length > 0);
}

/** Frames taken out of all views; a view without frames goes. */
export function takeOut(plan: Planned[], ids: string[]): Planned[] {
  const goes = new Set(ids);
  return plan.map((v) => without(v, goes)).filter((v) => v.frames.length > 0);
}

/** What a plan changes of the views that are there, as the server is told; frames that are in it nowhere go. */
export function arrangement(plan: Planned[], views: ViewSheet[]) {
  const said = (v: Planned) => ({
    view: v.view,
    name: v.name,
    anchor: v.anchor,
    frames: v.frames.map((f) => ({ id: f.id, role: f.role })),
  });
  const before = new Map(planOfViews(views).map((v) => [v.view, JSON.stringify(said(v))]));
  const here = new Set(plan.flatMap((v) => v.frames).map((f) => f.id));
  const emptied = views
    .filter((v) => !plan.some((p) => p.view === v.id))
    .map((v) => ({ view: v.id, name: v.name, anchor: undefined, frames: [] }));
  return {
    views: [...plan.map(said).filter((v) => before.get(v.view) !== JSON.stringify(v)), ...emptied],
    bin: views.flatMap((v) => v.frames.filter((f) => !here.has(f.id)).map((f) => f.id)),
  };
}

/** Some frames with another role. */
export function withRole(plan: Planned[], ids: string[], role: Arranged["role"]): Planned[] {
  const all = new Set(ids);
  return plan.map((v) => ({ ...v, frames: v.frames.map((f) => (all.has(f.id) ? { ...f, role } : f)) }));
}
