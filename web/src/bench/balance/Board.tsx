import { Box, Button, Checkbox, InputBase, Radio, Typography } from "@mui/material";
import { useRef, useState } from "react";
import { look } from "../../theme";
import { StageButton } from "../recipe/StageButton";
import { compareWith, nameSurface, put, settle, unpin, useBench } from "../store";
import { bring, neutral, nudge, passOf, signed as f } from "./balance";
import { SurfaceRows } from "./SurfaceRows";

/** Opens the balance board. */
export function BoardButton() {
  const board = useBench((s) => s.board);
  return (
    <StageButton pressed={board} onClick={() => put({ board: !board })}>
      Balance board
    </StageButton>
  );
}

/** Arrow keys on a row: up and down its light, left and right its b*, with Shift its a*. */
const NUDGES: Record<string, ["light" | "warmer" | "tint", number]> = {
  ArrowUp: ["light", 0.05],
  ArrowDown: ["light", -0.05],
  ArrowRight: ["warmer", 2],
  ArrowLeft: ["warmer", -2],
};

const SHIFTED: Record<string, ["tint", number]> = {
  ArrowRight: ["tint", 2],
  ArrowLeft: ["tint", -2],
};

/** The balance board where it is open; closed, it costs nothing while a control moves. */
export function Board() {
  const open = useBench((s) => s.board);
  return open ? <OpenBoard /> : null;
}

/** Probes on surfaces side by side: how they differ from the reference, and what brings them there. */
function OpenBoard() {
  const s = useBench();
  const [chosen, setChosen] = useState<string[]>([]);
  const [said, setSaid] = useState("");
  const [brought, setBrought] = useState<string[]>([]);
  const resting = useRef<ReturnType<typeof setTimeout>>(undefined);
  const reference = s.probes.find((p) => p.id === s.reference) ?? s.probes[0];
  const reading = (id: string) => s.readings.find((r) => r.id === id);
  const base = reference && reading(reference.id)?.reading;
  const picked = s.probes.filter((p) => chosen.includes(p.id));
  const sure = (probes: typeof picked) => {
    const bad = probes.find((p) => !reading(p.id)?.reading?.trusted);
    if (!bad) return true;
    setSaid(`Probe ${s.probes.indexOf(bad) + 1} lies on burnt or black pixels: it cannot be trusted.`);
    return false;
  };
  const run = async (task: () => Promise<string>) => {
    try {
      setSaid(await task());
    } catch (e) {
      setSaid(e instanceof Error ? e.message : String(e));
    }
  };
  const others = picked.filter((p) => p !== reference);
  return (
    <Box
      component="section"
      aria-label="Balance board"
      sx={{
        position: "absolute",
        left: 12,
        bottom: 68,
        maxHeight: "55%",
        overflowY: "auto",
        bgcolor: look.card,
        border: `1px solid ${look.strong}`,
        p: 1,
      }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
        <Typography variant="h3" component="h2">
          Balance board
        </Typography>
        <Typography variant="caption" color="text.secondary">
          Arrows on a row nudge light and b*, with Shift a*
        </Typography>
      </Box>
      {s.probes.length === 0 ? (
        <Typography>Pin probes on the surfaces to be compared (P).</Typography>
      ) : (
        <Box
          component="table"
          sx={{
            borderCollapse: "collapse",
            fontSize: 12,
            "& td, & th": { textAlign: "right", fontWeight: 400, px: 0.75, py: 0 },
            "& th": { color: look.soft },
            "& tr:focus-visible": { outline: `2px solid ${look.slate}` },
          }}
        >
          <thead>
            <tr>
              <th />
              <th>Probe</th>
              <th>Surface</th>
              <th>Ref.</th>
              <th>L*</th>
              <th>a*</th>
              <th>b*</th>
              <th>spread</th>
              <th>ΔL*</th>
              <th>Δa*</th>
              <th>Δb*</th>
              <th>ΔE00</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {s.probes.map((p, i) => {
              const r = reading(p.id)?.reading;
              const first = p === reference;
              return (
                <tr
                  key={p.id}
                  tabIndex={0}
                  aria-label={`Probe ${i + 1}`}
                  onKeyDown={(e) => {
                    const n = e.shiftKey ? SHIFTED[e.key] : NUDGES[e.key];
                    if (!n || e.target !== e.currentTarget) return;
                    e.preventDefault();
                    e.stopPropagation();
                    put({ moving: true });
                    nudge(p, ...n);
                    clearTimeout(resting.current);
                    resting.current = setTimeout(settle, 400);
                  }}
                >
                  <td>
                    <Checkbox
                      size="small"
                      sx={{ p: 0 }}
                      checked={chosen.includes(p.id)}
                      onChange={(_, on) =>
                        setChosen(on ? [...chosen, p.id] : chosen.filter((c) => c !== p.id))
                      }
                      slotProps={{ input: { "aria-label": `Choose probe ${i + 1}` } }}
                    />
                  </td>
                  <td>
                    <span
                      style={{
                        display: "inline-block",
                        width: 26,
                        height: 12,
                        border: "1px solid #999",
                        marginRight: 6,
                        verticalAlign: -2,
                        background: r ? `rgb(${r.srgb.join(" ")})` : "none",
                      }}
                    />
                    {i + 1}
                    {passOf(p) ? " •" : ""}
                  </td>
                  <td>
                    <InputBase
                      value={p.surface}
                      placeholder="–"
                      onChange={(e) => nameSurface(p.id, e.target.value)}
                      onKeyDown={(e) => e.stopPropagation()}
                      inputProps={{ "aria-label": `Surface of probe ${i + 1}` }}
                      sx={{ width: 84, fontSize: 12, "& input": { p: 0, textAlign: "left" } }}
                    />
                  </td>
                  <td>
                    <Radio
                      size="small"
                      sx={{ p: 0 }}
                      checked={first}
                      onChange={() => compareWith(p.id)}
                      slotProps={{ input: { "aria-label": `Probe ${i + 1} is the reference` } }}
                    />
                  </td>
                  {r ? (
                    <>
                      <td>{r.lab.l.toFixed(1)}</td>
                      <td>{f(r.lab.a)}</td>
                      <td>{f(r.lab.b)}</td>
                      <td>{r.spread.toFixed(1)}</td>
                      <td>{first || !base ? "–" : f(r.lab.l - base.lab.l)}</td>
                      <td>{first || !base ? "–" : f(r.lab.a - base.lab.a)}</td>
                      <td>{first || !base ? "–" : f(r.lab.b - base.lab.b)}</td>
                      <td data-testid={`difference-${i + 1}`}>
                        {first ? "–" : (reading(p.id)?.difference?.toFixed(1) ?? "–")}
                      </td>
                    </>
                  ) : (
                    <td colSpan={8}>–</td>
                  )}
                  <td>
                    <Button
                      onClick={() => unpin(p.id)}
                      aria-label={`Take probe ${i + 1} away`}
                      sx={{ p: 0, minWidth: 20 }}
                    >
                      ×
                    </Button>
                  </td>
                </tr>
              );
            })}
            <SurfaceRows
              probes={s.probes}
              readings={s.readings}
              base={base?.lab}
              chosen={chosen}
              onChoose={(ids, on) =>
                setChosen([...chosen.filter((c) => !ids.includes(c)), ...(on ? ids : [])])
              }
            />
          </tbody>
        </Box>
      )}
      <Box sx={{ display: "flex", gap: 1, mt: 0.75, alignItems: "center" }}>
        <Button
          disabled={others.length === 0}
          onClick={() =>
            sure([...others, reference]) &&
            void run(() => {
              setBrought(others.map((p) => p.id));
              return bring(others, reference);
            })
          }
        >
          Bring to reference
        </Button>
        <Button
          disabled={picked.length === 0}
          onClick={() => sure(picked) && void run(() => neutral(picked))}
        >
          Make neutral
        </Button>
        <Button onClick={() => put({ tool: "probe" })}>Pin a probe</Button>
      </Box>
      <Typography role="status" sx={{ mt: 0.5, maxWidth: 440 }}>
        {said}
      </Typography>
      {!s.moving && brought.some((id) => (reading(id)?.difference ?? 0) > 1) && (
        <Typography color="text.secondary" sx={{ maxWidth: 440 }}>
          A difference stays where the reference lies on the same surface and moves with it: draw the pass a
          region of its own.
        </Typography>
      )}
    </Box>
  );
}
