import { data, server } from "../../api/client";
import type { Group, Kind, Pass, Point, Recipe } from "../../api/types";
import { focusSoon } from "../../kit/focus";
import { held } from "../../kit/numbers";
import { move, settle } from "../state/gesture";
import { take } from "../state/hand";
import { edit, recipe, replace } from "../state/history";
import { openStage, useRail, WHOLE } from "../state/rail";
import { kindOf, useView } from "../state/view";
import { newId } from "../words";
import { twinOf, uses } from "./regions";

/** Changes a pass while a gesture is under way. */
export function changePass(id: string, to: Partial<Pass>) {
  edit((r) => {
    const pass = r.passes.find((p) => p.id === id);
    if (pass) Object.assign(pass, to);
  });
}

/** Changes a pass as one step. */
export function setPass(id: string, to: Partial<Pass>) {
  changePass(id, to);
  settle();
}

/** The numbers of a pass by their names. */
export const numbers = (pass: Pass) => pass.move as unknown as Record<string, number>;

/** A control of a pass moves; a number that has to stay below another does. */
export function moveControl(pass: Pass, name: string, value: number) {
  const kind = kindOf(pass);
  // a white or black point is judged by what burns and what is blocked
  move(pass.id, pass.move.kind === "levels" && name !== "gamma");
  edit((r) => {
    const own = r.passes.find((p) => p.id === pass.id);
    if (own) numbers(own)[name] = held(kind?.controls ?? [], numbers(own), name, value);
  });
}

/** A curve that changes nothing yet, in stops. */
const STRAIGHT: Point[] = [
  { x: -10, y: -10 },
  { x: -5, y: -5 },
  { x: -2.5, y: -2.5 },
  { x: 0, y: 0 },
];

/** A kind of pass as a pass of it was set elsewhere. */
export interface Start extends Kind {
  strength?: number;
  points?: Point[];
}

/** A kind that begins as a pass of another view was set; frames and places are the view's own. */
export function startingAs(kind: Kind, last: Pass): Start {
  const set = last.move as unknown as Record<string, number | string>;
  const points = last.move.kind === "curve" ? last.move.points : undefined;
  return {
    ...kind,
    gate: last.gate,
    strength: last.strength,
    points,
    controls: kind.controls.map((c) => ({ ...c, defaultValue: Number(set[c.name] ?? c.defaultValue) })),
    choices: kind.choices.map((c) => {
      const chosen = c.options.find((o) => o === set[c.name]);
      return chosen === undefined ? c : { ...c, options: [chosen, ...c.options.filter((o) => o !== chosen)] };
    }),
  };
}

/**
 * Adds a pass of a kind with its defaults.
 *
 * @param given frames, choices and numbers by name; the first choice where none is given
 */
export function addPass(kind: Start, region: string, given: Record<string, string | number>) {
  const fields: Record<string, unknown> = { kind: kind.kind };
  kind.controls.forEach((c) => (fields[c.name] = given[c.name] ?? c.defaultValue));
  kind.choices.forEach((c) => (fields[c.name] = given[c.name] ?? c.options[0]));
  kind.frames.forEach((name) => (fields[name] = given[name] ?? ""));
  if (kind.kind === "curve") fields.points = kind.points ?? STRAIGHT;
  const pass: Pass = {
    id: newId(),
    on: true,
    move: fields as unknown as Pass["move"],
    where: { region, outside: false },
    gate: kind.gate,
    strength: kind.strength ?? 1,
    why: "",
    group: "",
  };
  const order = useView.getState().kinds.map((k) => k.kind);
  const rank = (p: Pass) => order.indexOf(p.move.kind);
  edit((r) => {
    r.passes.splice(r.passes.findLastIndex((p) => rank(p) <= rank(pass)) + 1, 0, pass);
  });
  open(pass, kind.stage);
  settle();
}

/** Opens a pass that has just been made, where it is seen, with the focus on its first control. */
function open(pass: Pass, stage: string) {
  const { stage: now } = useRail.getState();
  if (now !== stage && now !== WHOLE) openStage(stage);
  take({ pass: pass.id, sheet: false, tool: "look", draft: [] });
  const card = `[data-pass="${pass.id}"]`;
  focusSoon(`${card} [role="slider"]`, `${card} button`);
}

/** Passes that work in one region once more, each behind itself, in a copy of the region; not yet a step. */
function duplicate(passes: Pass[], of: string): Pass[] {
  const region = twinOf(of);
  const twins = passes.map((p) => ({ ...p, id: newId(), why: "", where: { ...p.where, region } }));
  edit((r) => {
    passes.forEach((p, i) => {
      const at = r.passes.findIndex((x) => x.id === p.id) + 1;
      r.passes.splice(at, 0, ...twins.slice(i, i + 1));
    });
  });
  return twins;
}

/** The same pass once more, behind it, in a copy of its region that can be moved elsewhere. */
export function duplicatePass(id: string) {
  const old = recipe()?.passes.find((p) => p.id === id);
  const kind = kindOf(old);
  if (!old || !kind) return;
  duplicate([old], old.where.region).forEach((twin) => open(twin, kind.stage));
  settle();
}

/** All passes that work in a region once more, in one copy of it. */
export function duplicatePlace(id: string) {
  duplicate(recipe()?.passes.filter((p) => p.where.region === id) ?? [], id);
  settle();
}

export function removePass(id: string) {
  edit((r) => {
    r.passes = r.passes.filter((p) => p.id !== id);
  });
  take({ pass: "" });
  settle();
}

/** Moves a pass in the order of work to where it then stands; not where there is no such place. */
function place(id: string, where: (passes: Pass[], at: number) => number) {
  edit((r) => {
    const at = r.passes.findIndex((p) => p.id === id);
    const to = where(r.passes, at);
    if (to >= 0 && to < r.passes.length) r.passes.splice(to, 0, ...r.passes.splice(at, 1));
  });
  settle();
}

export function reorderPass(id: string, by: number) {
  place(id, (_, at) => at + by);
}

/** Puts a pass before another in the order of work. */
export function movePass(id: string, before: string) {
  place(id, (passes, at) => {
    const other = passes.findIndex((p) => p.id === before);
    return at < other ? other - 1 : other;
  });
}

/** Puts passes together; a new group takes in the pass that asked for it. */
export function addGroup(pass: string) {
  const id = newId();
  edit((r) => {
    const where = { region: "", outside: false };
    r.groups.push({ id, name: `Group ${r.groups.length + 1}`, on: true, where, strength: 1 });
    const first = r.passes.find((p) => p.id === pass);
    if (first) first.group = id;
  });
  settle();
}

/** Changes a group while a gesture is under way. */
export function changeGroup(id: string, to: Partial<Group>) {
  edit((r) => {
    const group = r.groups.find((g) => g.id === id);
    if (group) Object.assign(group, to);
  });
}

/** Changes a group as one step. */
export function setGroup(id: string, to: Partial<Group>) {
  changeGroup(id, to);
  settle();
}

/** Takes a group apart; its passes stay. */
export function removeGroup(id: string) {
  edit((r) => {
    r.groups = r.groups.filter((g) => g.id !== id);
    for (const pass of r.passes) if (pass.group === id) pass.group = "";
  });
  settle();
}

/** A recipe without what was proposed for a stage before, and without regions that only this used. */
function unproposed(now: Recipe, stage: string): Recipe {
  const own = useView.getState().kinds.filter((k) => k.stage === stage);
  const proposed = (p: Pass) => !!p.why && own.some((k) => k.kind === p.move.kind);
  const places = now.passes.filter(proposed).map((p) => p.where.region);
  const rest = { ...now, passes: now.passes.filter((p) => !proposed(p)) };
  return { ...rest, regions: rest.regions.filter((r) => !places.includes(r.id) || uses(rest, r.id) > 0) };
}

/** Puts what the product proposes for a stage in place of what it proposed before; one line on what it found. */
export async function propose(stage: string): Promise<string> {
  const before = recipe();
  const id = useView.getState().sheet?.id;
  if (!before || !id) return "";
  const body = unproposed(before, stage);
  const made = await data(
    server.POST("/api/views/{id}/proposals/{stage}", { params: { path: { id, stage } }, body }),
  );
  if (recipe() !== before) return "The recipe was changed meanwhile; ask again.";
  if (!made.changed) return made.said;
  replace(made.recipe);
  settle();
  return "";
}
