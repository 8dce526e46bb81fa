import { Box, Typography } from "@mui/material";
import { look } from "../theme";
import type { Planned } from "../arrange/plan";

/** Gaps of more than so many milliseconds are drawn alike. */
const PAUSE = 75_000;
/** What a pause counts for along the line, in milliseconds. */
const SHOWN = 70_000;

/** Places times from 0 to 1 along a line on which pauses are cut short. */
function spread(times: number[]): (t: number) => number {
  const order = [...new Set(times)].sort((a, b) => a - b);
  const at = new Map<number, number>();
  let along = 0;
  order.forEach((t, i) => {
    const gap = t - (order[i - 1] ?? t);
    along += gap > PAUSE ? SHOWN : gap;
    at.set(t, along);
  });
  return (t) => (along === 0 ? 0.5 : (at.get(t) ?? 0) / along);
}

/** All frames that wait along time, height by exposure; views are bracketed underneath. */
export function TimeLine({ views }: { views: Planned[] }) {
  const frames = views.flatMap((v) => v.frames).filter((f) => !!f.taken);
  if (frames.length < 2) return null;
  const time = (s: string) => new Date(s).getTime();
  const place = spread(frames.map((f) => time(f.taken ?? "")));
  const stops = frames.map((f) => f.stops ?? 0);
  const low = Math.min(...stops) - 1;
  const high = Math.max(...stops) + 1;
  const x = (t: number) => 60 + 1080 * place(t);
  const y = (s: number) => 8 + (64 * (high - s)) / (high - low);
  return (
    <Box sx={{ border: 1, borderColor: "divider", bgcolor: "background.paper", p: 1.5 }}>
      <Typography variant="h2">Time line</Typography>
      <svg
        viewBox="0 0 1200 104"
        style={{ width: "100%", height: 104, display: "block" }}
        role="img"
        aria-label="Frames by time and exposure"
      >
        <line x1={20} x2={1180} y1={80} y2={80} stroke={look.strong} />
        {views.map((v) => {
          const times = v.frames.filter((f) => f.taken).map((f) => time(f.taken ?? ""));
          if (times.length === 0) return null;
          const [a, b] = [x(Math.min(...times)) - 8, x(Math.max(...times)) + 8];
          return (
            <g key={v.frames[0]?.id}>
              <path d={`M${a} 80v6H${b}v-6`} fill="none" stroke={look.ink} strokeWidth={1.5} />
              <text x={(a + b) / 2} y={100} textAnchor="middle" fontSize={12} fill={look.ink}>
                {v.name}
              </text>
            </g>
          );
        })}
        {frames.map((f) => {
          const cx = x(time(f.taken ?? ""));
          const cy = y(f.stops ?? 0);
          return (
            <g key={f.id}>
              <title>{f.name}</title>
              <line x1={cx} x2={cx} y1={cy} y2={80} stroke={look.line} />
              {f.role === "FLASH" ? (
                <path d={`M${cx} ${cy - 6}l6 6l-6 6l-6 -6z`} fill={look.amberFill} stroke={look.ink} />
              ) : (
                <rect
                  x={cx - 5}
                  y={cy - 5}
                  width={10}
                  height={10}
                  fill={f.role === "WINDOW" ? look.slateFill : look.white}
                  stroke={look.ink}
                />
              )}
            </g>
          );
        })}
      </svg>
      <Typography variant="caption">
        Height is exposure; square ambient, blue window, diamond flash. A pause or a repeated exposure begins
        a new view; long pauses are cut short.
      </Typography>
    </Box>
  );
}
