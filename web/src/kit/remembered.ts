import { useState } from "react";

function read<T extends object>(place: string, start: T): T {
  try {
    return { ...start, ...(JSON.parse(localStorage.getItem(place) ?? "{}") as Partial<T>) };
  } catch {
    // nothing that could be read is nothing
    return start;
  }
}

/** What is chosen on this computer; it survives a reload. */
export function useRemembered<T extends object>(place: string, start: T): [T, (to: Partial<T>) => void] {
  const key = `illuminar.${place}`;
  const [now, setNow] = useState(() => read(key, start));
  return [
    now,
    (to) => {
      const next = { ...now, ...to };
      setNow(next);
      localStorage.setItem(key, JSON.stringify(next));
    },
  ];
}
