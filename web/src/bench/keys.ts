import { useEffect } from "react";
import { tinykeys } from "tinykeys";
import { within } from "../kit/numbers";
import { addRegion, nextName } from "./edits/regions";
import { DRAWN } from "./parts";
import { closeOutline } from "./parts/outline";
import { openBoard, useBoard } from "./state/board";
import { ALL, ANCHOR, settle, showBefore } from "./state/gesture";
import { stepBack, take, useHand, type BrushTip } from "./state/hand";
import { help, useHelpers } from "./state/helpers";
import { redo, undo } from "./state/history";
import { showAs, useMasks } from "./state/masks";
import { openStage, STAGES, WHOLE } from "./state/rail";
import { useView } from "./state/view";
import { showAlone, useViewport, zoomFit, zoomTo } from "./state/viewport";
import { nextAgainst } from "./state/wipe";

/** A key of the bench: how it is written in the list, what it does, and how it is pressed. */
interface Key {
  keys: string;
  does: string;
  on?: Record<string, (e: KeyboardEvent) => void>;
}

/** Shows the frame below or above the one that is shown, by exposure. */
function climb(by: number) {
  const { sheet } = useView.getState();
  const { alone } = useViewport.getState();
  if (!sheet) return;
  const order = [...sheet.frames].sort((a, b) => a.stops - b.stops);
  const at = order.findIndex((f) => f.id === alone);
  const next = at < 0 ? order.find((f) => f.anchor) : order[within(at + by, 0, order.length - 1)];
  if (next && next.id !== alone) showAlone(next.id);
}

function brush(to: (tip: BrushTip) => Partial<BrushTip>) {
  const { brush: tip } = useHand.getState();
  take({ brush: { ...tip, ...to(tip) } });
}

const size = (k: number) => () => brush((t) => ({ size: within(t.size * k, 4, 1200) }));
const soft = (d: number) => () => brush((t) => ({ softness: within(t.softness + d, 0, 1) }));
const toggle = () => useViewport.getState();

/** The arrow keys are for the picture now. */
const onStage = () => document.querySelector<HTMLElement>('[data-testid="stage"]')?.focus();

const DRAW_KEYS: Key[] = DRAWN.map((p) => ({
  keys: p.draw?.key ?? "",
  does: `${p.name.toLowerCase()} into the selected region`,
  on: {
    [(p.draw?.key ?? "").toLowerCase()]: () => {
      take({ tool: p.kind, draft: [], sheet: !!useHand.getState().region });
      onStage();
    },
  },
}));

function stage(e: KeyboardEvent) {
  const wanted = STAGES.find((s) => s.key === e.key)?.name ?? WHOLE;
  openStage(wanted);
  take({ sheet: false });
  document.getElementById(`tab-${wanted}`)?.focus();
}

/** All keys of the bench, for the list and for the hands. */
export const KEYS: Key[] = [
  {
    keys: "1 to 9, 0",
    does: "stages from Frames to Finish",
    on: Object.fromEntries([..."0123456789"].map((n) => [n, stage])),
  },
  { keys: "A", does: "the whole recipe", on: { a: stage } },
  { keys: ", .", does: "down and up the ladder", on: { ",": () => climb(-1), ".": () => climb(1) } },
  { keys: "hold B", does: "before: the anchor as the camera made it", on: { b: () => showBefore(ANCHOR) } },
  { keys: "hold Shift B", does: "before: the ground alone", on: { "Shift+B": () => showBefore(ALL) } },
  {
    keys: "W",
    does: "the camera's picture against ours: wipe, side by side, off",
    on: { w: nextAgainst },
  },
  {
    keys: "V",
    does: "veil on and off",
    on: { v: () => showAs(useMasks.getState().veil === "off" ? "veil" : "off") },
  },
  {
    keys: "Shift V",
    does: "region in black and white",
    on: { "Shift+V": () => showAs(useMasks.getState().veil === "mono" ? "veil" : "mono") },
  },
  {
    keys: "Z",
    does: "zebra on burnt and blocked",
    on: { z: () => useViewport.setState({ zebra: !toggle().zebra }) },
  },
  {
    keys: "H",
    does: "watch: halos, mud, overspray",
    on: { h: () => help({ watching: !useHelpers.getState().watching, specks: false }) },
  },
  {
    keys: "D",
    does: "details: how long a picture takes, how large the recipe is",
    on: { d: () => help({ details: !useHelpers.getState().details }) },
  },
  { keys: "T", does: "balance board", on: { t: () => openBoard(!useBoard.getState().open) } },
  {
    keys: "C",
    does: "colour off, to judge lightness",
    on: { c: () => useViewport.setState({ colourOff: !toggle().colourOff }) },
  },
  {
    keys: "P",
    does: "pin a probe",
    on: {
      p: () => {
        take({ tool: useHand.getState().tool === "probe" ? "look" : "probe" });
        onStage();
      },
    },
  },
  {
    keys: "N",
    does: "new region",
    on: {
      n: () => {
        addRegion(nextName());
        settle();
      },
    },
  },
  ...DRAW_KEYS,
  { keys: "[ ]", does: "brush smaller, larger", on: { "[": size(1 / 1.15), "]": size(1.15) } },
  { keys: "Shift [ ]", does: "brush harder, softer", on: { "Shift+{": soft(-0.1), "Shift+}": soft(0.1) } },
  { keys: "hold Alt", does: "take away" },
  {
    keys: "Enter, Esc",
    does: "close an outline, one step back",
    on: {
      Enter: (e) => closeOutline(e.altKey),
      Escape: () => {
        const { alone } = useViewport.getState();
        if (alone) showAlone(alone);
        else stepBack();
      },
    },
  },
  { keys: "hold Space", does: "move the picture by mouse" },
  {
    keys: "arrow keys, Space",
    does: "on the picture: move it, or the cross of the tool in hand; press and let go",
  },
  { keys: "F, Shift F", does: "fit, 1:1", on: { f: zoomFit, "Shift+F": () => zoomTo(1) } },
  {
    keys: "Ctrl Z, Ctrl Shift Z",
    does: "undo, redo",
    on: { "$mod+z": () => void undo(), "$mod+Shift+Z": () => void redo() },
  },
];

/** Keys that repeat while they are held. */
const REPEATING = new Set(["[", "]", "{", "}", ",", "."]);

function typing(t: HTMLElement): boolean {
  const field = t instanceof HTMLInputElement && !["checkbox", "radio", "color"].includes(t.type);
  return field || t.tagName === "TEXTAREA" || t.isContentEditable;
}

/** Whether a key belongs to something else: a field, an open menu, a dialog. */
function elsewhere(e: KeyboardEvent): boolean {
  const t = e.target;
  if (!(t instanceof HTMLElement)) return false;
  const own = e.ctrlKey || e.metaKey ? false : typing(t);
  return own || !!t.closest('[role="menu"],[role="listbox"],[role="dialog"],[role="alertdialog"]');
}

function guarded(act: (e: KeyboardEvent) => void) {
  return (e: KeyboardEvent) => {
    if (e.defaultPrevented || elsewhere(e)) return;
    // Enter closes an outline, and is a press on a button else
    if (e.key === "Enter" && useHand.getState().draft.length === 0) return;
    e.preventDefault();
    if (!e.repeat || REPEATING.has(e.key)) act(e);
  };
}

export function useKeys(list: () => void) {
  useEffect(() => {
    const all = Object.assign({}, ...KEYS.map((k) => k.on ?? {})) as NonNullable<Key["on"]>;
    const guardedKeys = Object.fromEntries(
      Object.entries({ ...all, "Shift+?": list }).map(([key, act]) => [key, guarded(act)]),
    );
    const stop = tinykeys(window, guardedKeys);
    const up = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === "b") showBefore("");
    };
    const blur = () => showBefore("");
    window.addEventListener("keyup", up);
    window.addEventListener("blur", blur);
    return () => {
      stop();
      window.removeEventListener("keyup", up);
      window.removeEventListener("blur", blur);
    };
  }, [list]);
}
