import { createStore, del, entries, set } from "idb-keyval";

/** A file that is to be sent; kept by the browser until it has been, so that a reload loses none. */
export interface Kept {
  id: string;
  shoot: string;
  file: File;
}

const store = createStore("illuminar-uploads", "files");

export const keep = (kept: Kept) => set(kept.id, kept, store);
export const letGo = (id: string) => del(id, store);
export const all = async (): Promise<Kept[]> => (await entries<string, Kept>(store)).map(([, kept]) => kept);
