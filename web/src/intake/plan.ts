import type { CardFrame, CardSheet } from "../api/types";

/** A view as it will be taken in; the photographer may change everything about it. */
export interface Planned {
  name: string;
  anchor: string;
  wanted: boolean;
  frames: CardFrame[];
}

/** The views as the rules grouped them; what is here already is not wanted again. */
export function planOf(card: CardSheet): Planned[] {
  return card.views.map((v) => ({ ...v, wanted: v.frames.some((f) => !f.known) }));
}

/** The anchor of a view whose frames have changed: the one before, else the middle ambient frame. */
function anchorOf(frames: CardFrame[], before: string): string {
  if (frames.some((f) => f.name === before)) return before;
  const ambient = frames.filter((f) => f.role === "AMBIENT");
  return (ambient[Math.floor(ambient.length / 2)] ?? frames[0])?.name ?? "";
}

export function changed(plan: Planned[], at: number, to: Partial<Planned>): Planned[] {
  return plan.map((v, i) => (i === at ? { ...v, ...to } : v));
}

/** A view parted in two before one of its frames. */
export function split(plan: Planned[], at: number, frame: number): Planned[] {
  const v = plan[at];
  if (!v) return plan;
  const part = (frames: CardFrame[], name: string): Planned => ({
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
export function moveFrame(plan: Planned[], from: number, name: string, to: number): Planned[] {
  const frame = plan[from]?.frames.find((f) => f.name === name);
  if (!frame || from === to) return plan;
  return plan
    .map((v, i) => {
      if (i === to) return { ...v, frames: [...v.frames, frame] };
      if (i !== from) return v;
      const frames = v.frames.filter((f) => f.name !== name);
      return { ...v, frames, anchor: anchorOf(frames, v.anchor) };
    })
    .filter((v) => v.frames.length > 0);
}
