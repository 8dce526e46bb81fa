import { Alert, Box, Button, LinearProgress, Typography } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import { look } from "../theme";
import { lasting, size } from "./kinds";
import { forget, goOn, pause, useQueue, type Item } from "./queue";

const STATE: Record<Item["state"], string> = {
  waiting: "waits",
  reading: "is read",
  sending: "",
  done: "sent",
  refused: "",
};

/** What is being sent for a shoot: in all, and file by file. */
export function Uploads({ shoot }: { shoot: string }) {
  const { items, paused, said } = useQueue();
  const own = items.filter((i) => i.shoot === shoot);
  const open = own.filter((i) => i.state !== "done" && i.state !== "refused");
  const refused = own.filter((i) => i.state === "refused");
  const all = own.reduce((sum, i) => sum + i.bytes, 0);
  const sent = own.reduce((sum, i) => sum + (i.state === "refused" ? i.bytes : i.sent), 0);
  const rate = useRate(sent, open.length > 0 && !paused);
  if (own.length === 0 && !said) return null;
  return (
    <Box
      component="section"
      aria-label="Files on their way"
      data-testid="uploads"
      data-open={open.length}
      sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper", p: 1.5, mb: 1.5 }}
    >
      {open.length > 0 && (
        <>
          <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
            <Box sx={{ flexGrow: 1 }}>
              <Typography sx={{ mb: 0.5 }} aria-live="polite">
                {own.length - open.length} of {own.length} files, {size(sent)} of {size(all)}
                {paused ? ", paused" : rate > 0 ? `, about ${lasting((all - sent) / rate)} left` : ""}
              </Typography>
              <LinearProgress
                variant="determinate"
                value={(100 * sent) / Math.max(1, all)}
                aria-label="Sent"
              />
            </Box>
            <Button onClick={paused ? goOn : pause}>{paused ? "Go on" : "Pause"}</Button>
            <Button onClick={() => forget((i) => i.shoot === shoot)}>Stop</Button>
          </Box>
          <Box sx={{ maxHeight: 124, overflow: "auto", mt: 1 }}>
            {open.slice(0, 60).map((i) => (
              <Line key={i.id} item={i} />
            ))}
            {open.length > 60 && <Typography variant="caption">and {open.length - 60} more</Typography>}
          </Box>
        </>
      )}
      {open.length === 0 && own.length > refused.length && (
        <Box sx={{ display: "flex", alignItems: "center", gap: 2 }}>
          <Typography sx={{ flexGrow: 1 }}>
            {own.length - refused.length} {own.length - refused.length === 1 ? "file has" : "files have"}{" "}
            arrived.
          </Typography>
          <Button onClick={() => forget((i) => i.shoot === shoot)}>Close</Button>
        </Box>
      )}
      {said && (
        <Alert severity="info" sx={{ mt: 0.5 }} onClose={() => useQueue.setState({ said: undefined })}>
          {said}
        </Alert>
      )}
      {refused.map((i) => (
        <Alert key={i.id} severity="warning" sx={{ mt: 0.5 }} onClose={() => forget((o) => o.id === i.id)}>
          {i.name}: {i.why}. The other files are sent all the same.
        </Alert>
      ))}
    </Box>
  );
}

function Line({ item: i }: { item: Item }) {
  const share = i.bytes === 0 ? 0 : i.sent / i.bytes;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: "minmax(0,1fr) 160px 130px",
        gap: 1.5,
        alignItems: "center",
      }}
    >
      <Typography variant="body2" noWrap title={i.name}>
        {i.name}
      </Typography>
      <Box sx={{ height: 3, bgcolor: look.line }}>
        <Box sx={{ height: 3, width: `${100 * share}%`, bgcolor: look.ink }} />
      </Box>
      <Typography variant="body2" color="text.secondary">
        {STATE[i.state] || `${size(i.sent)} of ${size(i.bytes)}`}
      </Typography>
    </Box>
  );
}

/** Bytes a second over the last seconds. */
function useRate(sent: number, on: boolean): number {
  const last = useRef({ at: 0, sent: 0 });
  const [rate, setRate] = useState(0);
  const now = useRef(sent);
  useEffect(() => {
    now.current = sent;
  }, [sent]);
  useEffect(() => {
    if (!on) return;
    last.current = { at: performance.now(), sent: now.current };
    const timer = setInterval(() => {
      const at = performance.now();
      const fresh = (1000 * (now.current - last.current.sent)) / (at - last.current.at);
      last.current = { at, sent: now.current };
      setRate((r) => (r === 0 ? Math.max(0, fresh) : 0.7 * r + 0.3 * Math.max(0, fresh)));
    }, 1000);
    return () => clearInterval(timer);
  }, [on]);
  return on ? rate : 0;
}
