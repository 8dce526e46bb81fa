import { Box } from "@mui/material";
import { useLayoutEffect, useRef, useState, type ReactNode } from "react";

/** Something that never becomes lower while it is held, so that what stands below it stays under the pointer. */
export function Steady({ held, children }: { held: boolean; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const [least, setLeast] = useState(0);
  useLayoutEffect(() => {
    const now = held ? (box.current?.offsetHeight ?? 0) : 0;
    if (held ? now > least : least > 0) setLeast(now);
  }, [held, least, children]);
  return (
    <Box ref={box} sx={{ minHeight: least || undefined }}>
      {children}
    </Box>
  );
}
