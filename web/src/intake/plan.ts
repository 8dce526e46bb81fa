import type { WaitingFrame, WaitingSheet } from "../api/types";

/** A view as it will be taken in; the photographer may change everything about it. */
export interface Planned {
  name: string;
  anchor: string;
  wanted: boolean;
  frames: WaitingFrame[];
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
function anchorOf(frames: WaitingFrame[], before: string): string {
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
  const part = (frames: WaitingFrame[], name: string): Planned => ({
    ...v,
    name,
    frames,
    anchor: anchorOf(frames, v.anchor),
  });
  return plan.toSpliced(
    at,
    1,
    part(v.frames.slice(0, frame), v.name),
    part(v.frames.slice(frame), `${v.name} b`),
  );
}

/** A view joined to the one above. */
export function merge(plan: Planned[], at: number): Planned[] {
  const above = plan[at - 1];
  const own = plan[at];
  if (!above || !own) return plan;
  return plan.toSpliced(at - 1, 2, { ...above, frames: [...above.frames, ...own.frames] });
}

/** A frame moved to another view; a view without frames goes. */
export function moveFrame(plan: Planned[], from: number, id: string, to: number): Planned[] {
  const frame = plan[from]?.frames.find((f) => f.id === id);
  if (!frame || from === to) return plan;
  return plan
    .map((v, i) => {
      if (i === to) return { ...v, frames: [...v.frames, frame] };
      if (i !== from) return v;
      const frames = v.frames.filter((f) => f.id !== id);
      return { ...v, frames, anchor: anchorOf(frames, v.anchor) };
    })
    .filter((v) => v.frames.length > 0);
}
