import { useEffect } from "react";
import { leave } from "./stage/Handles";
import { closeOutline } from "./stage/hands/outline";
import {
  ALL,
  addRegion,
  nextName,
  put,
  redo,
  refreshMask,
  settle,
  showAlone,
  showBefore,
  undo,
  useBench,
  zoomFit,
  zoomTo,
} from "./store";

/** All keys of the bench, for the list and for the hands. */
export const KEYS: { keys: string; does: string }[] = [
  { keys: "1 to 9, 0", does: "stages from Frames to Finish" },
  { keys: ", .", does: "down and up the ladder" },
  { keys: "hold B", does: "before: the ground alone" },
  { keys: "V", does: "veil on and off" },
  { keys: "Shift V", does: "region in black and white" },
  { keys: "Z", does: "zebra on burnt and blocked" },
  { keys: "H", does: "watch: halos, mud, overspray" },
  { keys: "T", does: "balance board" },
  { keys: "C", does: "colour off, to judge lightness" },
  { keys: "P", does: "pin a probe" },
  { keys: "N", does: "new region" },
  { keys: "O, L", does: "outline, loop into the selected region" },
  { keys: "R, E, Y", does: "ramp, ellipse, panel" },
  { keys: "K", does: "brush; Shift draws straight on" },
  { keys: "U, I", does: "similar colour, colour band" },
  { keys: "[ ]", does: "brush smaller, larger" },
  { keys: "Shift [ ]", does: "brush harder, softer" },
  { keys: "hold Alt", does: "take away" },
  { keys: "Enter, Esc", does: "close an outline, leave a tool" },
  { keys: "hold Space", does: "move the picture" },
  { keys: "F, Shift F", does: "fit, 1:1" },
  { keys: "Ctrl Z, Ctrl Shift Z", does: "undo, redo" },
  { keys: "?", does: "this list" },
];

function climb(by: number) {
  const { sheet, alone } = useBench.getState();
  if (!sheet) return;
  const order = [...sheet.frames].sort((a, b) => a.stops - b.stops);
  const at = order.findIndex((f) => f.id === alone);
  const next = at < 0 ? order.find((f) => f.anchor) : order[Math.min(order.length - 1, Math.max(0, at + by))];
  if (next && next.id !== alone) showAlone(next.id);
}

function typing(e: KeyboardEvent): boolean {
  const t = e.target as HTMLElement;
  const field = t instanceof HTMLInputElement && !["checkbox", "radio", "color"].includes(t.type);
  return field || t.tagName === "TEXTAREA" || t.isContentEditable;
}

export function useKeys(help: () => void) {
  useEffect(() => {
    const down = (e: KeyboardEvent) => {
      const s = useBench.getState();
      if ((e.ctrlKey || e.metaKey) && e.key.toLowerCase() === "z") {
        e.preventDefault();
        void (e.shiftKey ? redo() : undo());
        return;
      }
      if (typing(e) || e.ctrlKey || e.metaKey) return;
      const size = (k: number) =>
        put({ brush: { ...s.brush, size: Math.min(1200, Math.max(4, s.brush.size * k)) } });
      const soft = (d: number) =>
        put({ brush: { ...s.brush, softness: Math.min(1, Math.max(0, s.brush.softness + d)) } });
      const acts: Record<string, () => void> = {
        b: () => showBefore(ALL),
        v: () => put({ veil: s.veil === "off" ? "veil" : "off" }),
        V: () => put({ veil: s.veil === "mono" ? "veil" : "mono" }),
        z: () => put({ zebra: !s.zebra }),
        t: () => put({ board: !s.board }),
        h: () => put({ watching: !s.watching }),
        c: () => put({ colourOff: !s.colourOff }),
        p: () => put({ tool: s.tool === "probe" ? "look" : "probe" }),
        n: () => {
          addRegion(nextName());
          settle();
        },
        o: () => put({ tool: "outline", draft: [] }),
        l: () => put({ tool: "loop" }),
        r: () => put({ tool: "ramp" }),
        e: () => put({ tool: "ellipse" }),
        y: () => put({ tool: "panel" }),
        k: () => put({ tool: "brush" }),
        u: () => put({ tool: "similar-colour" }),
        i: () => put({ tool: "colour-band" }),
        "[": () => size(1 / 1.15),
        "]": () => size(1.15),
        "{": () => soft(-0.1),
        "}": () => soft(0.1),
        ",": () => climb(-1),
        ".": () => climb(1),
        f: zoomFit,
        F: () => zoomTo(1),
        "?": help,
        Escape: () => {
          if (s.alone) showAlone(s.alone);
          leave();
        },
        Enter: () => closeOutline(e.altKey),
      };
      const act = acts[e.key] ?? acts[e.key.toLowerCase()];
      if (act && !(e.key === "Enter" && s.draft.length === 0)) {
        e.preventDefault();
        if (!e.repeat || "[],.{}".includes(e.key)) act();
        refreshMask();
      } else if (/^[0-9]$/.test(e.key)) {
        document.getElementById(`stage-${e.key}`)?.scrollIntoView();
        document.getElementById(`stage-${e.key}`)?.focus();
      }
    };
    const up = (e: KeyboardEvent) => {
      if (e.key.toLowerCase() === "b") showBefore("");
    };
    const blur = () => showBefore("");
    window.addEventListener("keydown", down);
    window.addEventListener("keyup", up);
    window.addEventListener("blur", blur);
    return () => {
      window.removeEventListener("keydown", down);
      window.removeEventListener("keyup", up);
      window.removeEventListener("blur", blur);
    };
  }, [help]);
}
