import { Typography } from "@mui/material";
import { useEffect, useState } from "react";
import { useView } from "../state/view";
import { useViewport } from "../state/viewport";

/** From which on something is said to take long; milliseconds. */
const LONG = 300;

/** Says what is being done where it takes long: the picture that is seen is an older one. */
export function Working() {
  const busy = useViewport((s) => s.busy);
  return busy ? <Long /> : <Opening />;
}

function Long() {
  const [long, setLong] = useState(false);
  const first = useViewport((s) => s.roundMs === 0);
  const alone = useViewport((s) => s.alone);
  useEffect(() => {
    const clock = setTimeout(() => setLong(true), LONG);
    return () => clearTimeout(clock);
  }, []);
  if (first) return <Opening />;
  if (!long) return null;
  return <Words text={alone ? "Drawing the frame…" : "Drawing the picture; this one is older…"} />;
}

function Opening() {
  const sheet = useView((s) => !!s.sheet && !s.problem);
  const none = useViewport((s) => s.roundMs === 0);
  return sheet && none ? <Words text="Opening the frames…" /> : null;
}

function Words({ text }: { text: string }) {
  return (
    <Typography
      role="status"
      sx={{ position: "absolute", left: 12, bottom: 8, px: 1, bgcolor: "background.paper" }}
    >
      {text}
    </Typography>
  );
}
