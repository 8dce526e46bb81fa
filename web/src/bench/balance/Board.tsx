import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { saidOf } from "../../api/client";
import type { Probe } from "../../api/types";
import { look } from "../../theme";
import { StageButton } from "../recipe/StageButton";
import { openBoard, useBoard } from "../state/board";
import { useGesture } from "../state/gesture";
import { take } from "../state/hand";
import { useViewport } from "../state/viewport";
import { count } from "../words";
import { bring, neutral } from "./balance";
import { ProbeRow } from "./ProbeRow";
import { SurfaceRows } from "./SurfaceRows";

const HEADS = ["", "Probe", "Surface", "Ref.", "L*", "a*", "b*", "spread", "ΔL*", "Δa*", "Δb*", "ΔE00", ""];

/** Opens the balance board. */
export function BoardButton() {
  const open = useBoard((s) => s.open);
  return (
    <StageButton pressed={open} onClick={() => openBoard(!open)}>
      Balance board
    </StageButton>
  );
}

/** The balance board where it is open; closed, it costs nothing while a control moves. */
export function Board() {
  const open = useBoard((s) => s.open);
  return open ? <OpenBoard /> : null;
}

/** Probes on surfaces side by side: how they differ from the reference, and what brings them there. */
function OpenBoard() {
  const probes = useBoard((s) => s.probes);
  const chosenReference = useBoard((s) => s.reference);
  const readings = useViewport((s) => s.readings);
  const [chosen, setChosen] = useState<string[]>([]);
  const reference = probes.find((p) => p.id === chosenReference) ?? probes[0];
  const reading = (id: string) => readings.find((r) => r.id === id);
  const base = reference && reading(reference.id)?.reading;
  const choose = (ids: string[], on: boolean) =>
    setChosen([...chosen.filter((c) => !ids.includes(c)), ...(on ? ids : [])]);
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
      {probes.length === 0 ? (
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
            <tr>{HEADS.map((h, i) => (h ? <th key={i}>{h}</th> : <td key={i} />))}</tr>
          </thead>
          <tbody>
            {probes.map((p, i) => (
              <ProbeRow
                key={p.id}
                probe={p}
                number={i + 1}
                of={reading(p.id)}
                base={base?.lab}
                reference={p === reference}
                chosen={chosen.includes(p.id)}
                onChoose={(on) => choose([p.id], on)}
              />
            ))}
            <SurfaceRows
              probes={probes}
              readings={readings}
              base={base?.lab}
              chosen={chosen}
              onChoose={choose}
            />
          </tbody>
        </Box>
      )}
      <Actions picked={probes.filter((p) => chosen.includes(p.id))} reference={reference} />
    </Box>
  );
}

/** Probes in words: "probe 2", "3 probes". */
function whose(some: Probe[], all: Probe[]): string {
  const [only] = some;
  return some.length === 1 && only ? `probe ${all.indexOf(only) + 1}` : count(some.length, "probe", "probes");
}

/** What can be done with the chosen probes, and what came of it. */
function Actions({ picked, reference }: { picked: Probe[]; reference: Probe | undefined }) {
  const probes = useBoard((s) => s.probes);
  const readings = useViewport((s) => s.readings);
  const moving = useGesture((s) => s.moving);
  const [said, setSaid] = useState("");
  const [brought, setBrought] = useState<string[]>([]);
  // with none chosen it is the one pinned last
  const others = (picked.length > 0 ? picked : probes.slice(-1)).filter((p) => p !== reference);
  const run = async (on: Probe[], task: () => Promise<string>) => {
    const bad = on.find((p) => readings.find((r) => r.id === p.id)?.reading?.trusted === false);
    if (bad) {
      setSaid(`Probe ${probes.indexOf(bad) + 1} lies on burnt or black pixels: it cannot be trusted.`);
      return;
    }
    try {
      setSaid(await task());
    } catch (e) {
      setSaid(saidOf(e));
    }
  };
  // a probe that was just pinned is read with the next picture
  const ready = probes.every((p) => readings.some((r) => r.id === p.id));
  const toReference = () => {
    if (!reference) return;
    setBrought(others.map((p) => p.id));
    void run([...others, reference], () => bring(others, reference));
  };
  const apart = brought.some((id) => (readings.find((r) => r.id === id)?.difference ?? 0) > 1);
  return (
    <>
      <Box sx={{ display: "flex", gap: 1, mt: 0.75, alignItems: "center" }}>
        <Button disabled={others.length === 0 || !ready} onClick={toReference}>
          Bring {whose(others, probes)} to the reference
        </Button>
        <Button
          disabled={picked.length === 0 || !ready}
          onClick={() => void run(picked, () => neutral(picked))}
        >
          Make neutral
        </Button>
        <Button onClick={() => take({ tool: "probe" })}>Pin a probe</Button>
      </Box>
      <Typography role="status" sx={{ mt: 0.5, maxWidth: 440 }}>
        {said}
      </Typography>
      {!moving && apart && (
        <Typography color="text.secondary" sx={{ maxWidth: 440 }}>
          A difference stays where the reference lies on the same surface and moves with it: give the pass a
          separate region.
        </Typography>
      )}
    </>
  );
}
