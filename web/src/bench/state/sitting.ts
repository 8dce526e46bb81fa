import { data, Refused, saidOf, server } from "../../api/client";
import type { Look, Pass, PictureAnswer, Recipe, Region, ViewSheet } from "../../api/types";
import { coarser } from "../geometry";
import { Preview } from "../preview";
import { inOrder, resetBoard, useBoard } from "./board";
import { ALL, resetGesture, useGesture } from "./gesture";
import { resetHand, take, useHand } from "./hand";
import { resetHelpers } from "./helpers";
import { loadHistory, openHistory, useHistory } from "./history";
import { dropMask, keepThumbs, resetMasks, STAGE, takeMask, thumbSlot, useMasks, wanted } from "./masks";
import { complain, fullSize, resetView, useView } from "./view";
import { geometry, resetViewport, seen, show, useViewport } from "./viewport";

/** Round trip from which on a moving control is followed on a coarser picture; milliseconds. */
const PROMPT = 60;

/** Long edge of a small mask. */
const THUMB = 88;

let preview: Preview | undefined;

/** Opens a view; the returned function leaves it. What changes anywhere is shown from here. */
export function sit(view: string): () => void {
  let left = false;
  resetView();
  resetViewport();
  resetHand();
  resetGesture();
  resetMasks();
  resetBoard();
  resetHelpers();
  const closeHistory = openHistory(view);
  const stops: (() => void)[] = [];
  const begin = async () => {
    const cover = server.GET("/api/views/{id}/cover", {
      params: { path: { id: view }, query: { kept: true } },
      parseAs: "blob",
    });
    // a view that is not there has no cover either
    cover.catch(() => {});
    const path = { id: view };
    const [sheet, kinds, partKinds, groundKinds, board] = await Promise.all([
      data(server.GET("/api/views/{id}", { params: { path } })),
      data(server.GET("/api/catalogue")),
      data(server.GET("/api/catalogue/parts")),
      data(server.GET("/api/catalogue/grounds")),
      data(server.GET("/api/views/{id}/board", { params: { path } })),
      loadHistory(view),
    ]);
    if (left) return;
    useView.setState({ sheet, kinds, partKinds, groundKinds });
    resetBoard(board);
    void standIn(sheet, cover);
    preview = connected(view);
    stops.push(...watch());
    askPicture();
  };
  begin().catch((e: unknown) => {
    if (left) return;
    if (e instanceof Refused && [400, 404, 409].includes(e.status)) useView.setState({ missing: e.message });
    else complain(saidOf(e));
  });
  return () => {
    left = true;
    stops.forEach((stop) => stop());
    closeHistory();
    preview?.close();
    preview = undefined;
    resetViewport();
    resetMasks();
  };
}

/** Shows the contact table's picture until the first of its own is there. */
async function standIn(sheet: ViewSheet, cover: Promise<{ data?: Blob }>) {
  const blob = (await cover.catch(() => ({ data: undefined }))).data;
  if (!blob || blob.size === 0) return;
  const image = await createImageBitmap(blob);
  if (useViewport.getState().picture || useView.getState().sheet !== sheet) {
    image.close();
    return;
  }
  const { width, height } = image;
  show({ image, raster: { scale: width / sheet.width, x: 0, y: 0, width, height } });
}

function connected(view: string): Preview {
  const asked = new Map<string, Region>();
  askThumb = (recipe, region) => {
    const { w, h, long } = fullSize();
    const scale = THUMB / long;
    asked.set(region.id, region);
    preview?.mask(thumbSlot(region.id), recipe, region.id, {
      scale,
      x: 0,
      y: 0,
      width: Math.max(1, Math.round(w * scale)),
      height: Math.max(1, Math.round(h * scale)),
    });
  };
  return new Preview(view, {
    picture,
    mask: (head, image) => takeMask(head, image, asked.get(head.region)),
    read: (probes) => useViewport.setState({ pointer: probes.find((p) => p.id === "pointer") }),
    problem: (said) => {
      if (said) complain((shownProblem = said));
      // the next picture clears what the one before could not do, and nothing else
      else if (shownProblem && useView.getState().problem === shownProblem) complain(undefined);
    },
    connected: (is) => {
      useView.setState({ connected: is });
      if (is) askThumbs(true);
    },
  });
}

/** What the last picture or mask could not do. */
let shownProblem = "";

let askThumb: (recipe: Recipe, region: Region) => void = () => {};

/** Calls a task once, however often it is wanted in one go. */
function once(task: () => void): () => void {
  let due = false;
  return () => {
    if (due) return;
    due = true;
    queueMicrotask(() => {
      due = false;
      if (preview) task();
    });
  };
}

/** Asks anew for what depends on what has changed. */
function watch(): (() => void)[] {
  const pictureDue = once(askPicture);
  const maskDue = once(askMask);
  return [
    useHistory.subscribe((now, old) => {
      if (now.recipe !== old.recipe) {
        if (useViewport.getState().alone) useViewport.setState({ alone: "" });
        forgetLost(now.recipe);
        pictureDue();
        maskDue();
      }
      if (now.settled !== old.settled) askThumbs(now.settled?.ground !== old.settled?.ground);
    }),
    useViewport.subscribe((now, old) => {
      const moved = now.zoom !== old.zoom || now.stage !== old.stage;
      if (moved || now.alone !== old.alone) pictureDue();
      if (moved) maskDue();
    }),
    useGesture.subscribe((now, old) => {
      if (now.before !== old.before || (!now.moving && old.moving)) pictureDue();
      if (!now.moving && old.moving) maskDue();
    }),
    useBoard.subscribe((now, old) => {
      if (now.probes !== old.probes || now.reference !== old.reference) pictureDue();
    }),
    useHand.subscribe((now, old) => {
      if (now.region !== old.region) maskDue();
    }),
    useMasks.subscribe((now, old) => {
      if (now.hovered !== old.hovered) maskDue();
    }),
  ];
}

/** What is chosen and no longer there is not chosen. */
function forgetLost(recipe: Recipe | undefined) {
  const { pass, region } = useHand.getState();
  if (pass && !recipe?.passes.some((p) => p.id === pass)) take({ pass: "" });
  if (region && !recipe?.regions.some((r) => r.id === region)) take({ region: "", part: "" });
}

/** Whether a pass is left out of the picture while its before is looked at. */
function leftOut(pass: Pass): boolean {
  const { before } = useGesture.getState();
  const stage = useView.getState().kinds.find((k) => k.kind === pass.move.kind)?.stage;
  return before === ALL || before === pass.id || before === stage;
}

/** Asks for the picture as it now stands: coarse while a control moves, where sharp takes too long. */
function askPicture() {
  const { recipe } = useHistory.getState();
  const { alone, sharpMs } = useViewport.getState();
  const { moving, worked, before } = useGesture.getState();
  const raster = seen();
  if (!recipe || !raster) return;
  const draft = moving && sharpMs > PROMPT;
  preview?.picture({
    draft,
    moving: worked,
    recipe: before ? { ...recipe, passes: recipe.passes.filter((p) => !leftOut(p)) } : recipe,
    frame: alone,
    raster: draft ? coarser(raster, geometry()) : raster,
    probes: inOrder(),
    quality: moving ? 0.85 : 0.93,
  });
}

function picture(head: PictureAnswer, image: ImageBitmap, roundMs: number) {
  const sharp = head.raster.scale >= geometry().scale;
  show(
    { image, raster: head.raster },
    {
      histogram: head.histogram,
      readings: head.probes,
      serverMs: head.serverMs,
      roundMs,
      ...(sharp ? { sharpMs: roundMs } : {}),
    },
  );
  const marks = document.documentElement.dataset;
  marks.sharp = String(sharp);
  marks.pictures = String(Number(marks.pictures ?? 0) + 1);
}

/** Asks for the mask on the stage; while a control moves it is hidden and none is asked for. */
function askMask() {
  const { recipe } = useHistory.getState();
  const region = recipe?.regions.find((r) => r.id === wanted());
  const raster = seen();
  if (!recipe || !region || !raster) dropMask();
  else if (!useGesture.getState().moving) preview?.mask(STAGE, recipe, region.id, raster);
}

/** Asks for the small masks of regions that have changed, or of all. */
function askThumbs(all: boolean) {
  const { settled } = useHistory.getState();
  if (!settled) return;
  keepThumbs(settled.regions);
  const { thumbs } = useMasks.getState();
  settled.regions.filter((r) => all || thumbs[r.id]?.of !== r).forEach((r) => askThumb(settled, r));
}

let lastRead = 0;

/** Reads under the pointer, pixels at full size. */
export function point(x: number, y: number) {
  const now = performance.now();
  if (now - lastRead < PROMPT) return;
  lastRead = now;
  preview?.read([{ id: "pointer", x, y, radius: Math.max(1, 2 / geometry().scale), surface: "" }]);
}

/** The colour of what a part looks at round a place, pixels at full size. */
export async function colourAt(look: Look, x: number, y: number) {
  const { recipe } = useHistory.getState();
  if (!recipe || !preview) throw new Error("The picture is not open yet.");
  return (await preview.pick(recipe, look, x, y, Math.max(3, fullSize().w / 400))).lab;
}
