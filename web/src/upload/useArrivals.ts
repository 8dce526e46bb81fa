import { useEffect, useRef } from "react";
import { onArrival } from "./queue";

/** How long arrivals are gathered before they are told, milliseconds. */
const GATHERED = 1200;

/** Tells, now and then, that files have arrived for a shoot. */
export function useArrivals(shoot: string, tell: () => void) {
  const last = useRef(tell);
  useEffect(() => {
    last.current = tell;
  });
  useEffect(() => {
    let timer: number | undefined;
    const stop = onArrival((of) => {
      if (of === shoot) timer ??= window.setTimeout(() => ((timer = undefined), last.current()), GATHERED);
    });
    return () => {
      stop();
      window.clearTimeout(timer);
    };
  }, [shoot]);
}
