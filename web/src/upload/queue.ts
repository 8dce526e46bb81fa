import { create } from "zustand";
import { data, Refused, saidOf, server, signedOut } from "../api/client";
import { all, keep, letGo, type Kept } from "./kept";
import { size, sorted } from "./kinds";
import { send } from "./send";

/** A file on its way. */
export interface Item {
  id: string;
  shoot: string;
  name: string;
  bytes: number;
  sent: number;
  state: "waiting" | "reading" | "sending" | "done" | "refused";
  /** Why it was refused. */
  why?: string;
}

interface Queue {
  items: Item[];
  paused: boolean;
  /** What to say of what was dropped last: files that are no pictures, a full disk. */
  said?: string;
}

/** Files that are sent at once. */
const AT_ONCE = 3;

/** How long a broken connection rests before it is tried again, milliseconds. */
const REST = 4000;

export const useQueue = create<Queue>(() => ({ items: [], paused: false }));

const files = new Map<string, Kept>();
const running = new Map<string, () => void>();
const arrived = new Set<(shoot: string) => void>();
let again: number | undefined;

/** Tells when a file has arrived; the returned function stops it. */
export function onArrival(tell: (shoot: string) => void): () => void {
  arrived.add(tell);
  return () => arrived.delete(tell);
}

function put(id: string, to: Partial<Item>) {
  useQueue.setState((q) => ({ items: q.items.map((i) => (i.id === id ? { ...i, ...to } : i)) }));
}

const item = (kept: Kept): Item => ({
  id: kept.id,
  shoot: kept.shoot,
  name: kept.file.name,
  bytes: kept.file.size,
  sent: 0,
  state: "waiting",
});

/** How much can be sent; no bound where the server does not answer just now. */
async function bounds(shoot: string): Promise<{ room: number; most: number }> {
  try {
    const path = { shoot };
    return await data(
      server.POST("/api/shoots/{shoot}/arrivals/known", { params: { path }, body: { hashes: [] } }),
    );
  } catch (e) {
    if (e instanceof Refused && e.status === 0) return { room: Infinity, most: Infinity };
    throw e;
  }
}

/** Adds files to what is sent for a shoot, if there is room for all of them. */
export async function add(shoot: string, dropped: File[]): Promise<void> {
  const { pictures, others } = sorted(dropped);
  const said: string[] = [];
  if (others > 0) said.push(`${others} ${others === 1 ? "file is no picture" : "files are no pictures"}.`);
  try {
    const { room, most } = await bounds(shoot);
    const fit = pictures.filter((f) => f.size <= most);
    pictures
      .filter((f) => f.size > most)
      .forEach((f) => said.push(`${f.name} is larger than ${size(most)}.`));
    const need = fit.reduce((sum, f) => sum + f.size, 0);
    if (need > room) {
      said.push(`The disk has room for ${size(room)}, these files need ${size(need)}: nothing was sent.`);
    } else {
      const kept = fit.map((file) => ({ id: crypto.randomUUID(), shoot, file }));
      await Promise.all(kept.map(keep)).catch(() =>
        said.push("This browser keeps no files: a reload would end the upload."),
      );
      take(kept);
    }
  } catch (e) {
    said.push(saidOf(e));
  }
  useQueue.setState({ said: said.join(" ") || undefined });
  next();
}

function take(kept: Kept[]) {
  kept.forEach((k) => files.set(k.id, k));
  useQueue.setState((q) => ({ items: [...q.items, ...kept.map(item)] }));
}

/** Goes on with what a page before left. */
export async function restore(): Promise<void> {
  const kept = (await all().catch(() => [])).filter((k) => !files.has(k.id));
  take(kept);
  next();
}

function next() {
  const { items, paused } = useQueue.getState();
  if (paused) return;
  for (const i of items) {
    if (running.size >= AT_ONCE) return;
    if (i.state === "waiting") begin(i);
  }
}

function ended(id: string, to: Partial<Item>) {
  running.delete(id);
  put(id, to);
  files.delete(id);
  void letGo(id).catch(() => {});
  next();
}

function begin(i: Item) {
  const kept = files.get(i.id);
  if (!kept) return;
  running.set(
    i.id,
    send(i.shoot, kept.file, {
      reading: () => put(i.id, { state: "reading" }),
      sent: (bytes) => put(i.id, { state: "sending", sent: bytes }),
      done: () => {
        ended(i.id, { state: "done", sent: i.bytes });
        arrived.forEach((tell) => tell(i.shoot));
      },
      refused: (why) => ended(i.id, { state: "refused", why }),
      broken: (status) => {
        running.delete(i.id);
        put(i.id, { state: "waiting" });
        if (signedOut(status)) pause();
        else rest();
      },
    }),
  );
}

function rest() {
  window.clearTimeout(again);
  again = window.setTimeout(next, REST);
}

/** Stops where it is; nothing that was sent is lost. */
export function pause() {
  running.forEach((stop) => stop());
  running.clear();
  useQueue.setState((q) => ({
    paused: true,
    items: q.items.map((i) =>
      i.state === "sending" || i.state === "reading" ? { ...i, state: "waiting" } : i,
    ),
  }));
}

export function goOn() {
  useQueue.setState({ paused: false });
  next();
}

/** Takes files off the list; those under way are stopped. */
export function forget(which: (i: Item) => boolean) {
  const gone = useQueue.getState().items.filter(which);
  gone.forEach((i) => {
    running.get(i.id)?.();
    running.delete(i.id);
    files.delete(i.id);
    void letGo(i.id).catch(() => {});
  });
  useQueue.setState((q) => ({ items: q.items.filter((i) => !gone.includes(i)), said: undefined }));
  next();
}

window.addEventListener("online", next);
