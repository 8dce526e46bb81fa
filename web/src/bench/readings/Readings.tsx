import { Box, Link, Typography } from "@mui/material";
import { look } from "../../theme";
import type { Histogram, ProbeReading } from "../../api/types";
import { topOf } from "../histogram";
import { useBoard } from "../state/board";
import { tryAgain, useHistory } from "../state/history";
import { useHelpers } from "../state/helpers";
import { useView } from "../state/view";
import { useViewport } from "../state/viewport";
import { bytes } from "../words";

const WIDE = 430;
const HIGH = 64;

function curve(bins: number[], top: number): string {
  return bins
    .map((v, i) => `${(i * WIDE) / (bins.length - 1)},${HIGH - Math.min(1, Math.sqrt(v / top)) * (HIGH - 4)}`)
    .join(" ");
}

function HistogramChart({ histogram }: { histogram: Histogram }) {
  const top = topOf(histogram.light);
  return (
    <svg
      width={WIDE}
      height={80}
      viewBox={`0 0 ${WIDE} 80`}
      role="img"
      aria-label="Histogram in stops below white"
      data-testid="histogram"
    >
      {Array.from({ length: 11 }, (_, i) => (
        <line
          key={i}
          x1={(i * WIDE) / 10 + (i === 10 ? -0.5 : 0.5)}
          x2={(i * WIDE) / 10 + (i === 10 ? -0.5 : 0.5)}
          y1={0}
          y2={HIGH}
          stroke="#dadada"
        />
      ))}
      <polygon points={`0,${HIGH} ${curve(histogram.light, top)} ${WIDE},${HIGH}`} fill="#a3a3a3" />
      <polyline points={curve(histogram.red, top)} fill="none" stroke={look.amber} />
      <polyline points={curve(histogram.blue, top)} fill="none" stroke={look.slate} />
      <polyline points={curve(histogram.green, top)} fill="none" stroke="#5f6f56" />
      {[-10, -8, -6, -4, -2].map((s, i) => (
        <text
          key={s}
          x={(i * WIDE) / 5}
          y={77}
          fontSize={10}
          fill={look.soft}
          textAnchor={i === 0 ? "start" : "middle"}
        >
          {String(s).replace("-", "−")}
        </text>
      ))}
      <text x={WIDE} y={77} fontSize={10} fill={look.soft} textAnchor="end">
        white
      </text>
    </svg>
  );
}

function Row({ name, of, first }: { name: string; of?: ProbeReading; first?: boolean }) {
  const reading = of?.reading;
  const difference = of?.difference;
  const f = (v: number) => v.toFixed(1).replace("-", "−");
  return (
    <tr>
      <td>
        <span
          style={{
            display: "inline-block",
            width: 18,
            height: 10,
            border: "1px solid #999",
            marginRight: 6,
            verticalAlign: -1,
            background: reading ? `rgb(${reading.srgb.join(" ")})` : "none",
          }}
        />
        {name}
        {reading && !reading.trusted ? " (clipped)" : ""}
      </td>
      {reading ? (
        <>
          <td>{f(reading.lab.l)}</td>
          <td>{f(reading.lab.a)}</td>
          <td>{f(reading.lab.b)}</td>
          <td>{f(reading.spread)}</td>
          <td>{f(reading.stops)}</td>
          <td>{difference === undefined || first ? "–" : f(difference)}</td>
        </>
      ) : (
        <td colSpan={6}>–</td>
      )}
    </tr>
  );
}

/** Histogram, readings, and how things stand: always there, live while anything moves. */
export function Readings() {
  const histogram = useViewport((s) => s.histogram);
  return (
    <Box
      sx={{
        gridColumn: "1 / -1",
        borderTop: 1,
        borderColor: "divider",
        bgcolor: look.card,
        display: "grid",
        gridTemplateColumns: `${WIDE}px 1fr 230px`,
        gap: 2.25,
        px: 1.75,
        pt: 1,
      }}
    >
      {histogram ? <HistogramChart histogram={histogram} /> : <Box />}
      <Table />
      <Standing />
    </Box>
  );
}

/** The pinned probes that came last, and what is under the pointer. */
function Table() {
  const probes = useBoard((s) => s.probes);
  const reference = useBoard((s) => s.reference);
  const readings = useViewport((s) => s.readings);
  const pointer = useViewport((s) => s.pointer);
  return (
    <Box
      component="table"
      aria-label="Readings"
      sx={{
        borderCollapse: "collapse",
        width: "100%",
        fontSize: 12,
        lineHeight: "17px",
        alignSelf: "start",
        "& td, & th": { textAlign: "right", fontWeight: 400, p: 0 },
        "& td:first-of-type, & th:first-of-type": { textAlign: "left" },
        "& th": { color: look.soft },
      }}
    >
      <thead>
        <tr>
          <th>Reading</th>
          <th>L*</th>
          <th>a*</th>
          <th>b*</th>
          <th>spread</th>
          <th>stops</th>
          <th>ΔE00 to ref.</th>
        </tr>
      </thead>
      <tbody>
        {probes.slice(-3).map((p) => (
          <Row
            key={p.id}
            name={`Probe ${probes.indexOf(p) + 1}`}
            of={readings.find((r) => r.id === p.id)}
            first={p.id === reference || (!reference && p === probes[0])}
          />
        ))}
        <Row name="Pointer" of={pointer} />
      </tbody>
    </Box>
  );
}

/** What is burnt, how the recipe is kept, and how quick the picture is. */
function Standing() {
  return (
    <Typography component="div" variant="body2" color="text.secondary" sx={{ lineHeight: "19px" }}>
      <Burnt />
      <Keeping />
      <Quickness />
    </Typography>
  );
}

function Burnt() {
  const histogram = useViewport((s) => s.histogram);
  if (!histogram) return null;
  return (
    <div>
      Burnt {(100 * histogram.burnt).toFixed(1)} % · blocked {(100 * histogram.blocked).toFixed(1)} %
    </div>
  );
}

/** Said aloud when it changes. */
function Keeping() {
  const saved = useHistory((s) => s.saved);
  const connected = useView((s) => s.connected);
  const words = {
    saved: `Saved, revision ${saved.revision}`,
    saving: "Saving…",
    offline: "Not saved yet; trying again",
    conflict: "Changed in another tab",
    failed: "Not saved",
  }[saved.state];
  return (
    <div aria-live="polite">
      <div data-testid="saved">
        {connected ? words : "The server is out of reach; trying again"}
        {saved.state === "failed" && (
          <>
            {" "}
            <Link component="button" onClick={tryAgain}>
              Try again
            </Link>
          </>
        )}
      </div>
      <div title={saved.said}>{saved.said.length > 34 ? saved.said.slice(0, 33) + "…" : saved.said}</div>
    </div>
  );
}

function Quickness() {
  const serverMs = useViewport((s) => s.serverMs);
  const roundMs = useViewport((s) => s.roundMs);
  const details = useHelpers((s) => s.details);
  const recipe = useHistory((s) => s.settled);
  return (
    <div data-testid="timing" data-server={serverMs} data-round={roundMs}>
      {details && `Picture in ${Math.round(roundMs)} ms, recipe ${bytes(recipe)}`}
    </div>
  );
}
