import { create } from "zustand";
import {
  type BalanceBoard,
  type ClearCasts,
  type Group,
  ask,
  Refused,
  type Kind,
  type Look,
  type Part,
  type Numbered,
  type Pass,
  type Point,
  type Recipe,
  type RecipeState,
  type Region,
  type Shape,
  type ViewSheet,
} from "../api/client";
import {
  Preview,
  type Histogram,
  type MaskHead,
  type PictureHead,
  type Probe,
  type ProbeReading,
  type Raster,
} from "./preview";
import { ALL_TONES, carefulValues, newId } from "./words";

export type Tool =
  | "look"
  | "probe"
  | "outline"
  | "loop"
  | "ramp"
  | "ellipse"
  | "panel"
  | "brush"
  | "similar-colour"
  | "colour-band";

/** A pinned place that is read all the time; pixels at full size. */
/** How the brush is set; size in pixels at full size. */
export interface BrushTip {
  size: number;
  softness: number;
  flow: number;
  /** Colour difference at which paint stops, where {@link stops} says so. */
  stop: number;
  stops: boolean;
  erasingStops: boolean;
}

interface Zoom {
  fit: boolean;
  scale: number;
  cx: number;
  cy: number;
}

interface Saved {
  state: "saved" | "saving" | "offline" | "conflict";
  revision: number;
  edition: number;
  canUndo: boolean;
  canRedo: boolean;
  said: string;
}

/** What tells the casts of a view: a flash frame, one with the lamps off, or surfaces alone. */
export interface ToldBy {
  source: ClearCasts["source"];
  reference: string;
}

export interface BenchState {
  sheet?: ViewSheet;
  kinds: Kind[];
  partKinds: Numbered[];
  groundKinds: Numbered[];
  recipe?: Recipe;
  saved: Saved;
  problem?: string;
  connected: boolean;
  stage: { width: number; height: number };
  zoom: Zoom;
  picture?: { image: ImageBitmap; raster: Raster };
  histogram?: Histogram;
  serverMs: number;
  roundMs: number;
  /** Round trip of the last picture that was as fine as the screen. */
  sharpMs: number;
  probes: Probe[];
  /** The probe that others are compared with; the first where it is empty. */
  reference: string;
  /** Whether the balance board is open. */
  board: boolean;
  /** Whether what haze lets through is shown. */
  transmission: boolean;
  /** What the light on the surfaces is shown by, where its casts are shown. */
  casts?: ToldBy;
  readings: ProbeReading[];
  pointer?: ProbeReading;
  alone: string;
  /** What is left out for as long as a key is held: all passes, those of a stage, or one by its id. */
  before: string;
  moving: boolean;
  pass: string;
  region: string;
  part: string;
  hovered: string;
  tool: Tool;
  combine: "ADD" | "TAKE_AWAY" | "OVERLAP";
  brush: BrushTip;
  draft: Point[];
  veil: "veil" | "mono" | "line" | "tint" | "off";
  tint: string;
  zebra: boolean;
  /** Whether the zebra shows for as long as a control moves. */
  clipping: boolean;
  colourOff: boolean;
  /** Whether the picture is looked over for faults. */
  watching: boolean;
  surround: "grey" | "white" | "dark";
  mask?: { region: string; image: ImageBitmap; raster: Raster };
  maskThumbs: Record<string, { image: ImageBitmap; share: number }>;
}

const start: BenchState = {
  kinds: [],
  partKinds: [],
  groundKinds: [],
  saved: { state: "saved", revision: 0, edition: 0, canUndo: false, canRedo: false, said: "" },
  connected: false,
  stage: { width: 0, height: 0 },
  zoom: { fit: true, scale: 1, cx: 0, cy: 0 },
  serverMs: 0,
  roundMs: 0,
  sharpMs: 0,
  probes: [],
  reference: "",
  board: false,
  readings: [],
  alone: "",
  before: "",
  transmission: false,
  moving: false,
  pass: "",
  region: "",
  part: "",
  hovered: "",
  tool: "look",
  combine: "ADD",
  brush: { size: 120, softness: 0.5, flow: 1, stop: 18, stops: false, erasingStops: false },
  draft: [],
  veil: "veil",
  tint: localStorage.getItem("tint") ?? "#35566f",
  zebra: false,
  clipping: false,
  colourOff: false,
  watching: false,
  surround: (localStorage.getItem("surround") as BenchState["surround"]) ?? "grey",
  maskThumbs: {},
};

export const useBench = create<BenchState>(() => start);
const set = useBench.setState;
const get = useBench.getState;

let preview: Preview | undefined;
/** What is said to the server about the recipe: one thing after the other, however fast the hands are. */
let line: Promise<void> = Promise.resolve();
/** A view's recipe as the server last had it; what is still in line goes on after the view is left. */
interface Kept {
  view: string;
  edition: number;
  recipe?: Recipe;
}
let kept: Kept = { view: "", edition: 0 };
/** Counts changes made here, so that an answer knows whether it is still wanted. */
let edits = 0;
let retry: ReturnType<typeof setTimeout> | undefined;

function inLine(task: () => Promise<void>): Promise<void> {
  line = line.then(task);
  return line;
}

/** Scale at which the picture is drawn, and where its upper left corner lies on the stage. */
export function geometry(s: BenchState = get()) {
  const { sheet, stage, zoom } = s;
  const w = sheet?.width ?? 1;
  const h = sheet?.height ?? 1;
  const fit = Math.max(0.01, Math.min((stage.width - 36) / w, (stage.height - 36) / h, 1));
  const scale = zoom.fit ? fit : zoom.scale;
  const cx = zoom.fit ? w / 2 : zoom.cx;
  const cy = zoom.fit ? h / 2 : zoom.cy;
  return {
    scale,
    fit,
    ox: Math.round(stage.width / 2 - cx * scale),
    oy: Math.round(stage.height / 2 - cy * scale),
    w,
    h,
  };
}

function raster(): Raster | undefined {
  const { stage } = get();
  const { scale, ox, oy, w, h } = geometry();
  const fullW = Math.round(w * scale);
  const fullH = Math.round(h * scale);
  const x = Math.max(0, -ox);
  const y = Math.max(0, -oy);
  const width = Math.min(fullW, stage.width - ox) - x;
  const height = Math.min(fullH, stage.height - oy) - y;
  return width > 0 && height > 0 ? { scale, x, y, width, height } : undefined;
}

/** Before everything: the ground alone. */
export const ALL = "all";

/** Half as many pixels each way of what a raster shows. */
function coarser(r: Raster): Raster {
  const { w, h } = geometry();
  const scale = r.scale / 2;
  const x = Math.floor(r.x / 2);
  const y = Math.floor(r.y / 2);
  return {
    scale,
    x,
    y,
    width: Math.min(Math.round(w * scale), Math.ceil((r.x + r.width) / 2)) - x,
    height: Math.min(Math.round(h * scale), Math.ceil((r.y + r.height) / 2)) - y,
  };
}

/** Round trip from which on a moving control is followed on a coarser picture; milliseconds. */
const PROMPT = 60;

/** Whether a pass is left out of the picture while its before is looked at. */
function leftOut(pass: Pass): boolean {
  const { before, kinds } = get();
  const stage = kinds.find((k) => k.kind === pass.move.kind)?.stage;
  return before === ALL || before === pass.id || before === stage;
}

/** Asks for the picture as it now stands: coarse while a control moves, where sharp takes too long. */
export function refresh() {
  const s = get();
  const r = raster();
  if (!s.recipe || !s.sheet || !r || !preview) return;
  const draft = s.moving && s.sharpMs > PROMPT;
  preview.picture({
    draft,
    recipe: s.before ? { ...s.recipe, passes: s.recipe.passes.filter((p) => !leftOut(p)) } : s.recipe,
    frame: s.alone || undefined,
    raster: draft ? coarser(r) : r,
    // the server compares with the first
    probes: [...s.probes].sort((a, b) => Number(b.id === s.reference) - Number(a.id === s.reference)),
    quality: s.moving ? 0.85 : 0.93,
  });
}

/** Asks for the mask that the veil shows. */
export function refreshMask() {
  const s = get();
  const id = s.hovered || s.region;
  const region = s.recipe?.regions.find((x) => x.id === id);
  const r = raster();
  if (!region || !r) {
    set({ mask: undefined });
    return;
  }
  preview?.mask("stage", s.recipe!, region.id, r);
}

function refreshThumb(region: Region) {
  const { sheet, recipe } = get();
  if (!sheet || !recipe) return;
  const scale = 88 / Math.max(sheet.width, sheet.height);
  preview?.mask(`thumb ${region.id}`, recipe, region.id, {
    scale,
    x: 0,
    y: 0,
    width: Math.max(1, Math.round(sheet.width * scale)),
    height: Math.max(1, Math.round(sheet.height * scale)),
  });
}

function refreshThumbs() {
  get().recipe?.regions.forEach(refreshThumb);
}

function picture(head: PictureHead, image: ImageBitmap, roundMs: number) {
  get().picture?.image.close();
  const sharp = head.raster.scale >= geometry().scale;
  set({
    picture: { image, raster: head.raster },
    histogram: head.histogram,
    readings: head.probes,
    serverMs: head.serverMs,
    roundMs,
    sharpMs: sharp ? roundMs : get().sharpMs,
    problem: undefined,
  });
  document.documentElement.dataset.sharp = String(sharp);
  document.documentElement.dataset.pictures = String(
    Number(document.documentElement.dataset.pictures ?? 0) + 1,
  );
}

/** Shows the contact table's picture until the first of its own is there. */
async function standIn(sheet: ViewSheet, cover: Promise<Response>) {
  const answer = await cover;
  if (answer.status !== 200) return;
  const image = await createImageBitmap(await answer.blob());
  if (get().picture || get().sheet !== sheet) {
    image.close();
    return;
  }
  const { width, height } = image;
  set({ picture: { image, raster: { scale: width / sheet.width, x: 0, y: 0, width, height } } });
}

function mask(head: MaskHead, image: ImageBitmap) {
  if (head.slot === "stage") {
    set({ mask: { region: get().hovered || get().region, image, raster: head.raster } });
  } else {
    const id = head.slot.slice(6);
    set({ maskThumbs: { ...get().maskThumbs, [id]: { image, share: head.share } } });
  }
}

/** Opens a view; the returned function leaves it. */
export function open(view: string): () => void {
  let left = false;
  kept = { view, edition: 0 };
  set({ ...start, stage: get().stage, surround: get().surround });
  const load = async () => {
    const cover = fetch(`/api/views/${view}/cover?kept=true`);
    try {
      const [sheet, kinds, partKinds, groundKinds, state, board] = await Promise.all([
        ask<ViewSheet>(`/api/views/${view}`),
        ask<Kind[]>("/api/catalogue"),
        ask<Numbered[]>("/api/catalogue/parts"),
        ask<Numbered[]>("/api/catalogue/grounds"),
        ask<RecipeState>(`/api/views/${view}/recipe`),
        ask<BalanceBoard>(`/api/views/${view}/board`),
      ]);
      if (left) return;
      set({ sheet, kinds, partKinds, groundKinds, ...board });
      take(state);
      void standIn(sheet, cover);
      preview = new Preview(view, {
        picture,
        mask,
        read: (probes) => set({ pointer: probes.find((p) => p.id === "pointer") }),
        problem: (problem) => set({ problem }),
        connected: (connected) => {
          set({ connected });
          if (connected) refreshThumbs();
        },
      });
      refresh();
    } catch (e) {
      set({ problem: e instanceof Error ? e.message : String(e) });
    }
  };
  void load();
  return () => {
    left = true;
    clearTimeout(resting);
    preview?.close();
    preview = undefined;
  };
}

function take(state: RecipeState) {
  const { recipe, ...saved } = state;
  kept.recipe = recipe;
  kept.edition = saved.edition;
  const s = get();
  set({
    recipe,
    saved: { state: "saved", ...saved },
    pass: recipe.passes.some((p) => p.id === s.pass) ? s.pass : "",
    region: recipe.regions.some((r) => r.id === s.region) ? s.region : "",
  });
}

/** Changes the recipe on screen at once; {@link settle} keeps it. */
export function change(edit: (recipe: Recipe) => Recipe) {
  const { recipe } = get();
  if (!recipe) return;
  edits++;
  set({ recipe: edit(recipe), alone: "" });
  refresh();
}

/** Until a control counts as resting, so that a row of key strokes is one movement; milliseconds. */
const REST = 180;
let resting: ReturnType<typeof setTimeout> | undefined;

/** Brings the overlays back, and the picture once more at its best. */
function rest() {
  set({ moving: false, clipping: false });
  refresh();
}

/** The gesture is over: one step for the history, whatever is still on its way to the server. */
export function settle() {
  clearTimeout(resting);
  if (get().moving) resting = setTimeout(rest, REST);
  const { recipe, saved } = get();
  const of = kept;
  if (!recipe) return;
  if (recipe !== of.recipe && saved.state === "saved") set({ saved: { ...saved, state: "saving" } });
  waiting++;
  void inLine(() => save(of, recipe));
}

/** How many steps stand in line to be kept. */
let waiting = 0;

async function save(of: Kept, recipe: Recipe) {
  waiting--;
  if (of === kept && get().saved.state === "conflict") return;
  if (recipe === of.recipe) {
    if (of === kept && waiting === 0 && get().saved.state === "saving")
      set({ saved: { ...get().saved, state: "saved" } });
    return;
  }
  if (of === kept) set({ saved: { ...get().saved, state: "saving" } });
  try {
    const state = await ask<RecipeState>(`/api/views/${of.view}/recipe`, {
      method: "PUT",
      body: recipe,
      edition: of.edition,
    });
    of.recipe = recipe;
    answered(of, state);
  } catch (e) {
    if (of === kept) failed(e);
  }
}

/** What the server says of a view's history, its recipe apart. */
function answered(of: Kept, { recipe: _, ...saved }: RecipeState) {
  of.edition = saved.edition;
  if (of === kept) set({ saved: { state: waiting > 0 ? "saving" : "saved", ...saved } });
}

function failed(e: unknown) {
  const status = e instanceof Refused ? e.status : 0;
  const said = e instanceof Error ? e.message : String(e);
  if (status === 412) set({ saved: { ...get().saved, state: "conflict", said } });
  else {
    set({ problem: said, saved: { ...get().saved, state: "offline" } });
    if (status === 0 || status === 503) {
      clearTimeout(retry);
      retry = setTimeout(() => get().saved.state === "offline" && settle(), 3000);
    }
  }
}

/** After another tab's change: take over its state, or put ours on top of it. */
export async function resolve(keepMine: boolean) {
  const { sheet, recipe } = get();
  const state = await ask<RecipeState>(`/api/views/${sheet!.id}/recipe`);
  take(state);
  if (keepMine && recipe) {
    set({ recipe });
    settle();
  }
  refresh();
  refreshMask();
  refreshThumbs();
}

/** One step through the history. A change made here while it is under way stays, on top of it. */
function travel(way: "undo" | "redo"): Promise<void> {
  const asked = edits;
  const of = kept;
  return inLine(async () => {
    if (of !== kept || get().saved.state === "conflict") return;
    try {
      const state = await ask<RecipeState>(`/api/views/${of.view}/${way}`, {
        method: "POST",
        edition: of.edition,
      });
      if (of !== kept) return;
      if (edits === asked) take(state);
      else {
        of.recipe = state.recipe;
        answered(of, state);
      }
      refresh();
      refreshMask();
      refreshThumbs();
    } catch (e) {
      if (of === kept) failed(e);
    }
  });
}

export const undo = () => travel("undo");
export const redo = () => travel("redo");

export function changePass(id: string, to: Partial<Pass>) {
  change((r) => ({ ...r, passes: r.passes.map((p) => (p.id === id ? { ...p, ...to } : p)) }));
}

export function moveControl(id: string, name: string, value: number) {
  clearTimeout(resting);
  const kind = get().recipe?.passes.find((p) => p.id === id)?.move.kind;
  // a white or black point is judged by what burns and what is blocked
  set({ moving: true, clipping: kind === "levels" && name !== "gamma" });
  change((r) => ({
    ...r,
    passes: r.passes.map((p) =>
      p.id === id ? { ...p, move: { ...p.move, [name]: value } as Pass["move"] } : p,
    ),
  }));
}

/** A curve that changes nothing yet, in stops. */
const STRAIGHT: Point[] = [
  { x: -10, y: -10 },
  { x: -5, y: -5 },
  { x: -2.5, y: -2.5 },
  { x: 0, y: 0 },
];

/**
 * Adds a pass of a kind with careful values.
 *
 * @param given frames and choices by name; the first choice where none is given
 */
export function addPass(kind: Kind, region: string, given: Record<string, string | number>) {
  const move: Record<string, unknown> = { kind: kind.kind, ...carefulValues(kind.controls) };
  kind.controls.forEach((c) => (move[c.name] = given[c.name] ?? move[c.name]));
  kind.choices.forEach((c) => (move[c.name] = given[c.name] ?? c.options[0]));
  kind.frames.forEach((name) => (move[name] = given[name] ?? ""));
  if (kind.kind === "curve") move.points = STRAIGHT;
  const pass: Pass = {
    id: newId(),
    on: true,
    move: move as Pass["move"],
    where: { region, outside: false },
    gate: ALL_TONES,
    strength: 1,
    why: "",
    group: "",
  };
  const stages = get().kinds.map((k) => k.kind);
  change((r) => {
    const rank = (p: Pass) => stages.indexOf(p.move.kind);
    const after = r.passes.findLastIndex((p) => rank(p) <= rank(pass)) + 1;
    return { ...r, passes: [...r.passes.slice(0, after), pass, ...r.passes.slice(after)] };
  });
  set({ pass: pass.id });
  settle();
}

/** Puts passes together; a new group takes in the pass that asked for it. */
export function addGroup(pass: string) {
  const id = newId();
  change((r) => ({
    ...r,
    groups: [
      ...r.groups,
      {
        id,
        name: `Group ${r.groups.length + 1}`,
        on: true,
        where: { region: "", outside: false },
        strength: 1,
      },
    ],
    passes: r.passes.map((p) => (p.id === pass ? { ...p, group: id } : p)),
  }));
  settle();
}

export function changeGroup(id: string, to: Partial<Group>) {
  change((r) => ({ ...r, groups: r.groups.map((g) => (g.id === id ? { ...g, ...to } : g)) }));
}

/** Takes a group apart; its passes stay. */
export function removeGroup(id: string) {
  change((r) => ({
    ...r,
    groups: r.groups.filter((g) => g.id !== id),
    passes: r.passes.map((p) => (p.group === id ? { ...p, group: "" } : p)),
  }));
  settle();
}

export function removePass(id: string) {
  change((r) => ({ ...r, passes: r.passes.filter((p) => p.id !== id) }));
  set({ pass: "" });
  settle();
}

export function reorderPass(id: string, by: number) {
  change((r) => {
    const at = r.passes.findIndex((p) => p.id === id);
    const to = at + by;
    if (to < 0 || to >= r.passes.length) return r;
    const passes = [...r.passes];
    passes.splice(to, 0, ...passes.splice(at, 1));
    return { ...r, passes };
  });
  settle();
}

export function changeRegion(id: string, to: Partial<Region>, quiet = false) {
  change((r) => ({ ...r, regions: r.regions.map((x) => (x.id === id ? { ...x, ...to } : x)) }));
  refreshMask();
  const region = get().recipe!.regions.find((x) => x.id === id);
  if (region && !quiet) refreshThumb(region);
}

/** A part as it is first drawn. */
export function newPart(shape: Shape, combine: Part["combine"] = "ADD"): Part {
  return { id: newId(), combine, shape, feather: 0, strength: 1, invert: false, off: false };
}

/** Makes a region of some parts, or an empty one to be drawn into; not yet a step. */
export function addRegion(name: string, ...parts: Part[]): string {
  const id = newId();
  keepRegion({ id, name, parts, grow: 0, edge: 0, feather: 0, density: 1, invert: false });
  return id;
}

function keepRegion(region: Region) {
  change((r) => ({ ...r, regions: [...r.regions, region] }));
  set({ region: region.id, part: region.parts[0]?.id ?? "" });
  refreshMask();
  refreshThumbs();
}

/** Copies a region, turned round where its opposite is wanted. */
export function copyRegion(id: string, opposite: boolean) {
  const old = get().recipe?.regions.find((r) => r.id === id);
  if (!old) return;
  const name = opposite ? `Outside ${old.name}` : `${old.name}, copy`;
  keepRegion({ ...old, id: newId(), name, invert: opposite ? !old.invert : old.invert });
  settle();
}

/** Takes a region away; passes that used it are switched off, parts and brushes leave it out. */
export function removeRegion(id: string) {
  const without = (p: Part): Part[] =>
    p.shape.kind === "other-region" && p.shape.region === id
      ? []
      : p.shape.kind === "brush" && p.shape.limit === id
        ? [{ ...p, shape: { ...p.shape, limit: "" } }]
        : [p];
  change((r) => ({
    ...r,
    regions: r.regions.filter((x) => x.id !== id).map((x) => ({ ...x, parts: x.parts.flatMap(without) })),
    passes: r.passes.map((p) =>
      p.where.region === id ? { ...p, where: { region: "", outside: false }, on: false } : p,
    ),
    groups: r.groups.map((g) =>
      g.where.region === id ? { ...g, where: { region: "", outside: false }, on: false } : g,
    ),
  }));
  set({ region: "", part: "" });
  refreshMask();
  settle();
}

/** Takes out of a region what makes no difference where it is used; says how many bytes that was. */
export async function trimRegion(id: string): Promise<number> {
  const { recipe, sheet } = get();
  const old = recipe!.regions.find((r) => r.id === id)!;
  const trimmed = await ask<Region>(`/api/views/${sheet!.id}/regions/${id}/trim`, {
    method: "POST",
    body: recipe,
  });
  const less = JSON.stringify(old).length - JSON.stringify(trimmed).length;
  // what was drawn meanwhile stays as it is
  if (less > 0 && get().recipe?.regions.find((r) => r.id === id) === old) {
    changeRegion(id, trimmed);
    settle();
  }
  return less;
}

/** Adds what the product proposes for a stage; gives one line on what it found. */
export async function propose(stage: string): Promise<string> {
  const { recipe, sheet } = get();
  const made = await ask<{ recipe: Recipe; said: string }>(`/api/views/${sheet!.id}/proposals/${stage}`, {
    method: "POST",
    body: recipe,
  });
  if (get().recipe !== recipe) return "The recipe was changed meanwhile; ask again.";
  if (made.recipe.passes.length === recipe!.passes.length) return made.said;
  change(() => made.recipe);
  settle();
  refreshThumbs();
  return "";
}

/** The name for the next region. */
export function nextName(): string {
  const n = get().recipe?.regions.length ?? 0;
  return `Region ${n + 1}`;
}

/** Adds a shape to the selected region, making a region where none is selected; not yet a step. */
export function startPart(shape: Shape, combine: Part["combine"], quiet = false): Part {
  if (!get().recipe?.regions.some((r) => r.id === get().region)) addRegion(nextName());
  const { region, recipe } = get();
  const part = newPart(shape, combine);
  const there = recipe!.regions.find((r) => r.id === region)!;
  changeRegion(region, { parts: [...there.parts, part] }, quiet);
  set({ part: part.id });
  return part;
}

/** Adds a shape to the selected region as one step. */
export function addPart(shape: Shape, combine = get().combine) {
  startPart(shape, combine);
  settle();
}

/** Changes one part of the selected region; {@code quiet} while a gesture is under way. */
export function changePart(id: string, to: (part: Part) => Part, quiet = false) {
  const { region, recipe } = get();
  const there = recipe?.regions.find((r) => r.id === region);
  if (there) changeRegion(region, { parts: there.parts.map((p) => (p.id === id ? to(p) : p)) }, quiet);
}

export function selectPart(part: string) {
  set({ part: get().part === part ? "" : part });
}

export function select(region: string) {
  set({ region, part: "", draft: [] });
  refreshMask();
}

export function hover(region: string) {
  set({ hovered: region });
  refreshMask();
}

export function showAlone(frame: string) {
  set({ alone: get().alone === frame ? "" : frame });
  refresh();
}

export function showBefore(before: string) {
  if (get().before === before) return;
  set({ before, alone: "" });
  refresh();
}

export function resize(width: number, height: number) {
  set({ stage: { width, height } });
  refresh();
  refreshMask();
}

/** Zooms to a scale with a point of the stage staying where it is. */
export function zoomTo(scale: number, sx?: number, sy?: number) {
  const g = geometry();
  const { stage } = get();
  const x = sx ?? stage.width / 2;
  const y = sy ?? stage.height / 2;
  const s = Math.min(4, Math.max(g.fit * 0.5, scale));
  const px = (x - g.ox) / g.scale;
  const py = (y - g.oy) / g.scale;
  set({
    zoom: { fit: false, scale: s, cx: px + (stage.width / 2 - x) / s, cy: py + (stage.height / 2 - y) / s },
  });
  refresh();
  refreshMask();
}

export function zoomFit() {
  set({ zoom: { ...get().zoom, fit: true } });
  refresh();
  refreshMask();
}

export function pan(dx: number, dy: number) {
  const g = geometry();
  const z = get().zoom;
  const cx = z.fit ? g.w / 2 : z.cx;
  const cy = z.fit ? g.h / 2 : z.cy;
  set({ zoom: { fit: false, scale: g.scale, cx: cx - dx / g.scale, cy: cy - dy / g.scale } });
  refresh();
  refreshMask();
}

let keeping = Promise.resolve();

/** Keeps the board as it stands, one write after the other. */
function keepBoard() {
  const { sheet, probes, reference } = get();
  const body: BalanceBoard = { probes, reference };
  keeping = keeping
    .then(() => ask<void>(`/api/views/${sheet!.id}/board`, { method: "PUT", body, leaving: true }))
    .catch((e: unknown) => set({ problem: e instanceof Error ? e.message : String(e) }));
}

/** Says which surface a probe belongs to; none where the name is empty. */
export function nameSurface(id: string, surface: string) {
  set({ probes: get().probes.map((p) => (p.id === id ? { ...p, surface } : p)) });
  keepBoard();
}

export function pin(x: number, y: number) {
  const { probes, sheet } = get();
  const radius = Math.max(4, Math.round((sheet?.width ?? 1000) / 200));
  set({ probes: [...probes, { id: newId(), x, y, radius, surface: "" }].slice(-24), tool: "look" });
  keepBoard();
  refresh();
}

/** Compares all probes with one of them. */
export function compareWith(reference: string) {
  set({ reference });
  keepBoard();
  refresh();
}

export function unpin(id: string) {
  set({ probes: get().probes.filter((p) => p.id !== id) });
  keepBoard();
  refresh();
}

let lastRead = 0;

export function point(x: number, y: number) {
  const now = performance.now();
  if (now - lastRead < 60) return;
  lastRead = now;
  preview?.read([{ id: "pointer", x, y, radius: Math.max(1, 2 / geometry().scale), surface: "" }]);
}

/** The colour of what a part looks at round a place, pixels at full size. */
export async function pick(look: Look, x: number, y: number) {
  const { recipe, sheet } = get();
  const radius = Math.max(3, (sheet?.width ?? 1000) / 400);
  return (await preview!.pick(recipe!, look, x, y, radius)).lab;
}

export function put(to: Partial<BenchState>) {
  set(to);
  if (to.tint) localStorage.setItem("tint", to.tint);
  if (to.surround) localStorage.setItem("surround", to.surround);
}
