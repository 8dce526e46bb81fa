import { data, server } from "../../api/client";
import type { Balance, Kind, Part, Probe, ProbeReading, Region, Shape } from "../../api/types";
import { within } from "../../kit/numbers";
import { addPass, changePass } from "../edits/passes";
import { addRegion, changeRegion, newPart } from "../edits/regions";
import { defaultsOf } from "../parts/part";
import { useBoard } from "../state/board";
import { settle } from "../state/gesture";
import { useHand } from "../state/hand";
import { recipe } from "../state/history";
import { fullSize, useView } from "../state/view";
import { useViewport } from "../state/viewport";

type Numbers = Omit<Balance, "kind">;
const NONE: Numbers = { light: 0, warmer: 0, tint: 0, saturation: 1 };

/** A probe's place as a point of a region. */
function placeOf(probe: Probe) {
  const { long } = fullSize();
  return { x: (probe.x + 0.5) / long, y: (probe.y + 0.5) / long };
}

/** Whether a region was made from a probe's surface. */
function holds(region: Region, probe: Probe): boolean {
  const at = placeOf(probe);
  return region.parts.some(
    ({ shape }) =>
      shape.kind === "similar-colour" &&
      Math.abs(shape.at.x - at.x) < 1e-6 &&
      Math.abs(shape.at.y - at.y) < 1e-6,
  );
}

/** The balance pass that works on a probe's surface. */
export function passOf(probe: Probe) {
  const now = recipe();
  return now?.passes.find(
    (p) =>
      p.move.kind === "balance" &&
      now.regions.some((r) => r.id === p.where.region && !p.where.outside && holds(r, probe)),
  );
}

function numbersOf(probe: Probe): Numbers {
  const move = passOf(probe)?.move;
  if (move?.kind !== "balance") return NONE;
  const { kind: _, ...numbers } = move;
  return numbers;
}

function surface(probe: Probe): Part {
  const { partKinds } = useView.getState();
  return newPart({
    kind: "similar-colour",
    ...defaultsOf(partKinds, "similar-colour"),
    look: { from: "GROUND", frame: "" },
    at: placeOf(probe),
    connected: true,
  } as Shape);
}

function kindOf(name: string): Kind {
  const kind = useView.getState().kinds.find((k) => k.kind === name);
  if (!kind) throw new Error(`There is no pass of the kind ${name}.`);
  return kind;
}

/** Puts the numbers of a balance on the surfaces of some probes, as one pass; not yet a step. */
function put(probes: Probe[], numbers: Numbers) {
  const [first] = probes;
  if (!first) return;
  if (!passOf(first)) {
    const all = useBoard.getState().probes;
    const names = probes.map((p) => all.indexOf(p) + 1).join(", ");
    const region = addRegion(`Surface of probe ${names}`, ...probes.map(surface));
    changeRegion(region, { feather: 12 });
    addPass(kindOf("balance"), region, {});
  }
  const pass = passOf(first);
  if (pass) changePass(pass.id, { move: { kind: "balance", ...numbers } });
}

function labOf(probe: Probe, readings: ProbeReading[]) {
  const reading = readings.find((r) => r.id === probe.id)?.reading;
  if (!reading) throw new Error("A probe lies beside what is shown. Zoom out and try again.");
  return reading.lab;
}

/** Brings the surfaces of probes to the reference; says what is left or speaks against it. */
export async function bring(probes: Probe[], reference: Probe): Promise<string> {
  const { readings } = useViewport.getState();
  const [first] = probes;
  const solved = await data(
    server.POST("/api/solve/reference", {
      body: {
        colours: probes.map((p) => labOf(p, readings)),
        present: first ? numbersOf(first) : NONE,
        reference: labOf(reference, readings),
      },
    }),
  );
  put(probes, rounded(solved));
  settle();
  return solved.said || `ΔE00 ${solved.left.toFixed(1)} is left.`;
}

/** Makes the surfaces of probes neutral by the white of the whole picture. */
export async function neutral(probes: Probe[]): Promise<string> {
  const { readings } = useViewport.getState();
  const present = recipe()?.passes.find((p) => p.move.kind === "colour" && !p.where.region);
  const old = present?.move.kind === "colour" ? present.move : undefined;
  const colours = probes.map((p) => labOf(p, readings));
  const solved = await data(
    server.POST("/api/solve/neutral", {
      body: {
        colours,
        present: { light: 0, warmer: old?.warmer ?? 0, tint: old?.tint ?? 0, saturation: 1 },
        // not asked for a neutral
        reference: { l: 50, a: 0, b: 0 },
      },
    }),
  );
  const { warmer, tint } = rounded(solved);
  if (present && old) changePass(present.id, { move: { ...old, warmer, tint } });
  else {
    addPass(kindOf("colour"), "", {});
    changePass(useHand.getState().pass, { move: { kind: "colour", warmer, tint, saturation: 1 } });
  }
  settle();
  return solved.said || `A chroma of ${solved.left.toFixed(1)} is left.`;
}

function rounded(n: Numbers): Numbers {
  return {
    light: Number(n.light.toFixed(3)),
    warmer: Number(n.warmer.toFixed(2)),
    tint: Number(n.tint.toFixed(2)),
    saturation: Number(n.saturation.toFixed(3)),
  };
}

/** Nudges one number of a surface's balance. */
export function nudge(probe: Probe, name: "light" | "warmer" | "tint", by: number) {
  const now = numbersOf(probe);
  const most = name === "light" ? 3 : 100;
  put([probe], { ...now, [name]: within(Number((now[name] + by).toFixed(3)), -most, most) });
}
