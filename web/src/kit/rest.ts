import { useRef } from "react";

/** Does what it was given last, once nothing more has been given for some milliseconds; also after the component is gone. */
export function useRest(ms: number): (then: () => void) => void {
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  return (then) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(then, ms);
  };
}
