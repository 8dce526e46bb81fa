import type { Look, Pass, PictureAnswer, Recipe, Region } from "../../api/types";
import { coarser } from "../geometry";
import { Preview, type Use } from "../preview";
import { inOrder } from "./board";
import { ALL, ANCHOR, hurried, useGesture } from "./gesture";
import { useHistory } from "./history";
import { corner, layAnew, pictureSize, useLay } from "./lay";
import { dropMask, keepThumbs, STAGE, takeMask, thumbSlot, useMasks, wanted } from "./masks";
import { complain, fullSize, kindOf, useView } from "./view";
import { geometry, seen, show, useViewport } from "./viewport";
import { takeBefore, useWipe } from "./wipe";

/* What is asked of the server while one sits at a view, and where its answers go. */

/** Round trip from which on a moving control is followed on a coarser picture; milliseconds. */
const PROMPT = 60;

/** Long edge of a small mask. */
const THUMB = 88;

let preview: Preview | undefined;

/** Whether nothing has come yet: the first picture is a quick one, and the sharp one follows it. */
let first = true;

/** What was worked on, and how large the picture was, when what a coarse picture needs was asked for ahead. */
let ahead = "";

/** Why the last picture or mask failed. */
let shownProblem = "";

/** The regions whose small masks have been asked for, as they were then. */
const asked = new Map<string, Region>();

export function connect(view: string) {
  asked.clear();
  first = true;
  ahead = "";
  preview = new Preview(view, {
    picture,
    mask: (head, image) => takeMask(head, image, asked.get(head.region)),
    read: (probes) => useViewport.setState({ pointer: probes.find((p) => p.id === "pointer") }),
    problem: (said) => {
      if (said) complain((shownProblem = said));
      // the next picture clears what the one before could not do, and nothing else
      else if (shownProblem && useView.getState().problem === shownProblem) complain(undefined);
    },
    busy: (busy) => useViewport.setState({ busy }),
    connected: (is) => {
      useView.setState({ connected: is });
      if (!is) return;
      askThumbs(true);
      // what could not be asked for while the line was broken
      void layAnew();
    },
  });
}

export function disconnect() {
  preview?.close();
  preview = undefined;
}

export function isConnected(): boolean {
  return preview !== undefined;
}

function askThumb(recipe: Recipe, region: Region) {
  const { w, h } = pictureSize();
  const scale = THUMB / Math.max(w, h);
  asked.set(region.id, region);
  preview?.mask(thumbSlot(region.id), laid(recipe), region.id, {
    scale,
    x: 0,
    y: 0,
    width: Math.max(1, Math.round(w * scale)),
    height: Math.max(1, Math.round(h * scale)),
  });
}

/** Whether a pass is left out of the picture while its before is looked at. */
function leftOut(pass: Pass): boolean {
  const { before } = useGesture.getState();
  return before === ALL || before === pass.id || before === kindOf(pass)?.stage;
}

/** Whether what follows a hand is shown coarse: sharp takes too long. */
const coarsely = () => hurried() && useViewport.getState().sharpMs > PROMPT;

/** Asks for the picture as it now stands: coarse while a control moves, where sharp takes too long. */
export function askPicture() {
  const { recipe } = useHistory.getState();
  const { alone } = useViewport.getState();
  const { worked, before } = useGesture.getState();
  const raster = seen();
  if (!recipe || !raster) return;
  const coarse = coarsely();
  preview?.picture({
    draft: coarse || first,
    moving: worked,
    ...laid(before ? { ...recipe, passes: recipe.passes.filter((p) => !leftOut(p)) } : recipe),
    frame: before === ANCHOR ? anchor() : alone,
    raster: coarse ? coarser(raster, geometry()) : raster,
    probes: inOrder(),
    quality: hurried() ? 0.85 : 0.93,
  });
}

/** A recipe as it lies on the stage: where a newer geometry lies is being found out, and then it is asked for again. */
function laid(recipe: Recipe): { recipe: Recipe; uncut: boolean } {
  const { of, uncut } = useLay.getState();
  return { recipe: of && of !== recipe.geometry ? { ...recipe, geometry: of } : recipe, uncut };
}

const anchor = () => useView.getState().sheet?.frames.find((f) => f.anchor)?.id ?? "";

const REST = { draft: false, moving: "", frame: "", probes: [], quality: 0.93 };

/** Asks for the camera's picture to show against ours, once the picture itself is here and the one that is there is of another place. */
export function askBefore(): boolean {
  const { mode, before } = useWipe.getState();
  const { recipe } = useHistory.getState();
  const raster = seen();
  if (!mode || !recipe || !raster || JSON.stringify(before?.raster) === JSON.stringify(raster)) return false;
  return preview?.picture({ ...REST, ...laid(recipe), frame: anchor(), raster }, "before") ?? false;
}

/** Lets the server keep what lies below what is worked on as coarse pictures need it, so that its first move is prompt. */
function askAhead() {
  const { recipe } = useHistory.getState();
  const { alone } = useViewport.getState();
  const { worked, before } = useGesture.getState();
  const raster = seen();
  const now = worked + JSON.stringify(raster);
  if (!recipe || !raster || !worked || alone || before || useLay.getState().uncut || now === ahead) return;
  ahead = now;
  const coarse = coarser(raster, geometry());
  const rest = { ...REST, draft: true, moving: worked, quality: 0.85 };
  preview?.picture({ ...rest, ...laid(recipe), raster: coarse }, "ahead");
}

function picture(head: PictureAnswer, image: ImageBitmap, roundMs: number, use: Use) {
  if (use === "ahead") {
    image.close();
    return;
  }
  if (use === "before") {
    takeBefore({ image, raster: head.raster, corner: corner() });
    return;
  }
  const sharp = head.raster.scale >= geometry().scale;
  show(
    { image, raster: head.raster, corner: corner() },
    {
      // empty corners are no part of the picture
      ...(useLay.getState().uncut ? {} : { histogram: head.histogram }),
      readings: head.probes,
      serverMs: head.serverMs,
      roundMs,
      ...(sharp ? { sharpMs: roundMs } : {}),
    },
  );
  if (first) {
    first = false;
    askPicture();
    return;
  }
  if (sharp && !askBefore()) askAhead();
  const marks = document.documentElement.dataset;
  marks.sharp = String(sharp);
  marks.pictures = String(Number(marks.pictures ?? 0) + 1);
}

/** Asks for the mask on the stage, coarse as the picture; while a control moves it is hidden and none is asked for. */
export function askMask() {
  const { recipe } = useHistory.getState();
  const region = recipe?.regions.find((r) => r.id === wanted());
  const raster = seen();
  if (!recipe || !region || !raster) dropMask();
  else if (!useGesture.getState().moving) {
    preview?.mask(STAGE, laid(recipe), region.id, coarsely() ? coarser(raster, geometry()) : raster);
  }
}

/** Asks for the small masks of regions that have changed, or of all. */
export function askThumbs(all: boolean) {
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
