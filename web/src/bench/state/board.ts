import { create } from "zustand";
import { data, saidOf, server } from "../../api/client";
import type { BalanceBoard, Probe } from "../../api/types";
import { newId } from "../words";
import { take } from "./hand";
import { complain, fullSize, useView } from "./view";

const MOST_PROBES = 24;

/** The probes that are pinned, and the one that others are compared with; the first where it is empty. */
export interface BoardState extends BalanceBoard {
  /** Whether the balance board is open. */
  open: boolean;
}

const start: BoardState = { probes: [], reference: "", open: false };

export const useBoard = create<BoardState>(() => start);
const set = useBoard.setState;
const get = useBoard.getState;

export function resetBoard(to: BalanceBoard = { probes: [], reference: "" }) {
  set({ ...start, ...to }, true);
}

/** What is to be kept of each view once the write that is under way has ended. */
const waiting = new Map<string, BalanceBoard>();
let writing = false;

/** Sends what waits of a view; it arrives even if the page is left meanwhile. */
async function write(id: string) {
  const body = waiting.get(id);
  waiting.delete(id);
  if (!body) return;
  try {
    await data(server.PUT("/api/views/{id}/board", { params: { path: { id } }, body, keepalive: true }));
  } catch (e) {
    complain(saidOf(e));
  }
}

async function writeAll() {
  writing = true;
  while (waiting.size > 0) {
    for (const id of [...waiting.keys()]) await write(id);
  }
  writing = false;
}

/** Keeps the board as it stands, one write after the other; of those that wait, a view's last. */
function keep() {
  const { probes, reference } = get();
  const id = useView.getState().sheet?.id;
  if (!id) return;
  waiting.set(id, { probes, reference });
  if (!writing) void writeAll();
}

// once the page is left, nothing that waits would be begun
window.addEventListener("pagehide", () => {
  for (const id of [...waiting.keys()]) void write(id);
});

export function openBoard(open: boolean) {
  set({ open });
}

/** The probes with the reference first, as the server compares them. */
export function inOrder(): Probe[] {
  const { probes, reference } = get();
  return [...probes].sort((a, b) => Number(b.id === reference) - Number(a.id === reference));
}

/** Says which surface a probe belongs to; none where the name is empty. */
export function nameSurface(id: string, surface: string) {
  set({ probes: get().probes.map((p) => (p.id === id ? { ...p, surface } : p)) });
  keep();
}

export function pin(x: number, y: number) {
  const radius = Math.max(4, Math.round(fullSize().w / 200));
  set({ probes: [...get().probes, { id: newId(), x, y, radius, surface: "" }].slice(-MOST_PROBES) });
  take({ tool: "look" });
  keep();
}

/** Compares all probes with one of them. */
export function compareWith(reference: string) {
  set({ reference });
  keep();
}

export function unpin(id: string) {
  set({ probes: get().probes.filter((p) => p.id !== id) });
  keep();
}
