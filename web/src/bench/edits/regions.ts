import { data, server } from "../../api/client";
import type { Part, Recipe, Region, Shape } from "../../api/types";
import { settle } from "../state/gesture";
import { take, useHand } from "../state/hand";
import { edit, recipe } from "../state/history";
import { useView } from "../state/view";
import { newId } from "../words";

/** A part as it is first drawn. */
export function newPart(shape: Shape, combine: Part["combine"] = "ADD"): Part {
  return { id: newId(), combine, shape, feather: 0, strength: 1, invert: false, off: false };
}

/** The name for the next region. */
export const nextName = () => `Region ${(recipe()?.regions.length ?? 0) + 1}`;

/** A name with the first number, from one on, that no region has. */
export function numbered(name: string, from: number): string {
  const names = recipe()?.regions.map((r) => r.name) ?? [];
  let n = from;
  while (names.includes(`${name} ${n}`)) n++;
  return `${name} ${n}`;
}

function keep(region: Region) {
  edit((r) => void r.regions.push(region));
  take({ region: region.id, sheet: true, part: region.parts[0]?.id ?? "" });
}

/** Makes a region of some parts, or an empty one to be drawn into; not yet a step. */
export function addRegion(name: string, ...parts: Part[]): string {
  const id = newId();
  keep({ id, name, parts, grow: 0, edge: 0, feather: 0, density: 1, invert: false });
  return id;
}

/** A copy of a region, selected with its first part; not yet a step. Gives its id. */
function copied(id: string, to: (old: Region) => Partial<Region>): string {
  const old = recipe()?.regions.find((r) => r.id === id);
  if (!old) return "";
  const copy = { ...old, id: newId(), ...to(old) };
  keep(copy);
  return copy.id;
}

/** Duplicates a region, inverted where its opposite is wanted. */
export function copyRegion(id: string, inverted: boolean) {
  copied(id, ({ name, invert }) =>
    inverted ? { name: `Outside ${name}`, invert: !invert } : { name: `${name}, copy` },
  );
  settle();
}

/** A copy of a region for a pass that is duplicated, under the next number; not yet a step. */
export function twinOf(id: string): string {
  return copied(id, (old) => {
    return { name: numbered(old.name.replace(/ \d+$/, ""), 2) };
  });
}

/** Changes a region while a gesture is under way. */
export function changeRegion(id: string, to: Partial<Region>) {
  edit((r) => {
    const region = r.regions.find((x) => x.id === id);
    if (region) Object.assign(region, to);
  });
}

/** Whether a shape is made from a region or limited by it. */
function usedBy(shape: Shape, region: string): boolean {
  return (
    (shape.kind === "other-region" && shape.region === region) ||
    (shape.kind === "brush" && shape.limit === region)
  );
}

/** The regions that a region is part of, itself first. */
function above(now: Recipe, id: string): string[] {
  const users = now.regions.filter((r) => r.parts.some((p) => usedBy(p.shape, id)));
  return [id, ...users.flatMap((r) => above(now, r.id))];
}

/** How many passes a region is used by: themselves, by their group, or by way of another region. */
export function uses(now: Recipe, region: string): number {
  const all = above(now, region);
  const groups = now.groups.filter((g) => all.includes(g.where.region)).map((g) => g.id);
  return now.passes.filter((p) => all.includes(p.where.region) || groups.includes(p.group)).length;
}

/** Takes a region away; passes and groups that used it are switched off, parts and brushes leave it out. */
export function removeRegion(id: string) {
  edit((r) => {
    r.regions = r.regions.filter((x) => x.id !== id);
    for (const region of r.regions) {
      region.parts = region.parts.filter((p) => !(p.shape.kind === "other-region" && p.shape.region === id));
      for (const { shape } of region.parts)
        if (shape.kind === "brush" && shape.limit === id) shape.limit = "";
    }
    for (const user of [...r.passes, ...r.groups]) {
      if (user.where.region !== id) continue;
      user.where = { region: "", outside: false };
      user.on = false;
    }
  });
  take({ region: "", sheet: false, part: "" });
  settle();
}

/** Takes out of a region what makes no difference where it is used; says how many bytes that was. */
export async function trimRegion(region: string): Promise<number> {
  const body = recipe();
  const id = useView.getState().sheet?.id;
  const old = body?.regions.find((r) => r.id === region);
  if (!body || !id || !old) return 0;
  const trimmed = await data(
    server.POST("/api/views/{id}/regions/{region}/trim", { params: { path: { id, region } }, body }),
  );
  const less = JSON.stringify(old).length - JSON.stringify(trimmed).length;
  // what was drawn meanwhile stays as it is
  if (less > 0 && recipe()?.regions.find((r) => r.id === region) === old) {
    changeRegion(region, trimmed);
    settle();
  }
  return less;
}

/** Adds a shape to the selected region, making a region where none is selected; not yet a step. */
export function startPart(shape: Shape, combine: Part["combine"]): Part {
  if (!recipe()?.regions.some((r) => r.id === useHand.getState().region)) addRegion(nextName());
  const { region } = useHand.getState();
  const part = newPart(shape, combine);
  edit((r) => void r.regions.find((x) => x.id === region)?.parts.push(part));
  take({ part: part.id });
  return part;
}

/** Adds a shape to the selected region as one step. */
export function addPart(shape: Shape, combine = useHand.getState().combine) {
  startPart(shape, combine);
  settle();
}

/** Changes one part of the selected region while a gesture is under way. */
export function changePart(id: string, to: (part: Part) => unknown) {
  const { region } = useHand.getState();
  edit((r) => {
    const part = r.regions.find((x) => x.id === region)?.parts.find((p) => p.id === id);
    if (part) to(part);
  });
}
