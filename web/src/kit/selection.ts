import { useEffect, useRef, useState } from "react";

/** Things chosen together, by mouse or keys. */
export interface Selection {
  /** Those chosen that are there, in their order. */
  chosen: string[];
  has: (id: string) => boolean;
  /** A press on one of them: chooses it or lets it go; with the shift key all from the one before. */
  press: (id: string, by: { shiftKey: boolean }) => void;
  clear: () => void;
}

const typing = (e: KeyboardEvent) =>
  e.target instanceof HTMLElement && !!e.target.closest("input, textarea, [role=dialog], [role=listbox]");

/** Chooses among things that stand in an order; Ctrl+A chooses all, Esc none. */
export function useSelection(order: string[]): Selection {
  const [all, setAll] = useState<ReadonlySet<string>>(new Set());
  const last = useRef<string>(undefined);
  const now = useRef(order);
  useEffect(() => {
    now.current = order;
  });
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (typing(e)) return;
      if (e.key === "Escape") setAll(new Set());
      if (e.key === "a" && (e.ctrlKey || e.metaKey)) {
        e.preventDefault();
        setAll(new Set(now.current));
      }
    };
    addEventListener("keydown", key);
    return () => removeEventListener("keydown", key);
  }, []);
  return {
    chosen: order.filter((id) => all.has(id)),
    has: (id) => all.has(id),
    press: (id, { shiftKey }) => {
      const from = shiftKey && last.current !== undefined ? order.indexOf(last.current) : -1;
      const to = order.indexOf(id);
      const next = new Set(all);
      if (from >= 0) order.slice(Math.min(from, to), Math.max(from, to) + 1).forEach((i) => next.add(i));
      else if (!next.delete(id)) next.add(id);
      last.current = id;
      setAll(next);
    },
    clear: () => setAll(new Set()),
  };
}

/** A list with one more, or without it where it is there. */
export const toggled = (list: string[], v: string) =>
  list.includes(v) ? list.filter((x) => x !== v) : [...list, v];
