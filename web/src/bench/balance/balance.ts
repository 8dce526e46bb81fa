import { ask, type Balance, type Part, type Region, type Shape, type Solved } from "../../api/client";
import { addPass, addRegion, change, changePass, newPart, settle, useBench } from "../store";
import type { Probe, ProbeReading } from "../preview";
import { carefulValues } from "../words";

/** A number with its sign. */
export const signed = (v: number) => (v > 0 ? "+" : "") + v.toFixed(1).replace("-", "−");

/** A probe's place as a point of a region. */
function placeOf(probe: Probe) {
  const { width, height } = useBench.getState().sheet!;
  const long = Math.max(width, height);
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
  const { recipe } = useBench.getState();
  return recipe?.passes.find(
    (p) =>
      p.move.kind === "balance" &&
      recipe.regions.some((r) => r.id === p.where.region && !p.where.outside && holds(r, probe)),
  );
}

function surface(probe: Probe): Part {
  const kind = useBench.getState().partKinds.find((k) => k.kind === "similar-colour");
  return newPart({
    kind: "similar-colour",
    ...carefulValues(kind?.controls),
    look: { from: "GROUND", frame: "" },
    at: placeOf(probe),
    connected: true,
  } as Shape);
}

/** Puts the numbers of a balance on the surfaces of some probes, as one pass; not yet a step. */
function put(probes: Probe[], numbers: Omit<Balance, "kind">) {
  const present = passOf(probes[0]);
  if (present) {
    changePass(present.id, { move: { kind: "balance", ...numbers } });
    return;
  }
  const { kinds, probes: all } = useBench.getState();
  const names = probes.map((p) => all.indexOf(p) + 1).join(", ");
  const region = addRegion(`Surface of probe ${names}`, ...probes.map(surface));
  change((r) => ({
    ...r,
    regions: r.regions.map((x) => (x.id === region ? { ...x, feather: 12 } : x)),
  }));
  addPass(
    kinds.find((k) => k.kind === "balance")!,
    region,
    {},
  );
  const pass = passOf(probes[0]);
  if (pass) changePass(pass.id, { move: { kind: "balance", ...numbers } });
}

const NONE = { light: 0, warmer: 0, tint: 0, saturation: 1 };

function numbersOf(probe: Probe) {
  const move = passOf(probe)?.move;
  return move?.kind === "balance" ? move : undefined;
}

function asked(probes: Probe[], readings: ProbeReading[]) {
  const { kind: _, ...present } = numbersOf(probes[0]) ?? { kind: "", ...NONE };
  return {
    colours: probes.map((p) => readings.find((r) => r.id === p.id)!.reading!.lab),
    present,
  };
}

/** Brings the surfaces of probes to the reference; says what is left or speaks against it. */
export async function bring(probes: Probe[], reference: Probe): Promise<string> {
  const { readings } = useBench.getState();
  const solved = await ask<Solved>("/api/solve/reference", {
    method: "POST",
    body: {
      ...asked(probes, readings),
      reference: readings.find((r) => r.id === reference.id)!.reading!.lab,
    },
  });
  const { left, each: _, said, ...numbers } = solved;
  put(probes, rounded(numbers));
  settle();
  return said || `ΔE00 ${left.toFixed(1)} is left.`;
}

/** Makes the surfaces of probes neutral by the white of the whole picture. */
export async function neutral(probes: Probe[]): Promise<string> {
  const { readings, recipe, kinds } = useBench.getState();
  const present = recipe!.passes.find((p) => p.move.kind === "colour" && !p.where.region);
  const old = present?.move.kind === "colour" ? present.move : undefined;
  const solved = await ask<Solved>("/api/solve/neutral", {
    method: "POST",
    body: {
      colours: probes.map((p) => readings.find((r) => r.id === p.id)!.reading!.lab),
      present: { light: 0, warmer: old?.warmer ?? 0, tint: old?.tint ?? 0, saturation: 1 },
    },
  });
  const { warmer, tint } = rounded(solved);
  if (present && old) changePass(present.id, { move: { ...old, warmer, tint } });
  else {
    addPass(
      kinds.find((k) => k.kind === "colour")!,
      "",
      {},
    );
    const { pass } = useBench.getState();
    changePass(pass, { move: { kind: "colour", warmer, tint, saturation: 1 } });
  }
  settle();
  return solved.said || `A chroma of ${solved.left.toFixed(1)} is left.`;
}

function rounded<T extends { light: number; warmer: number; tint: number; saturation: number }>(n: T) {
  return {
    light: Number(n.light.toFixed(3)),
    warmer: Number(n.warmer.toFixed(2)),
    tint: Number(n.tint.toFixed(2)),
    saturation: Number(n.saturation.toFixed(3)),
  };
}

/** Nudges one number of a surface's balance. */
export function nudge(probe: Probe, name: "light" | "warmer" | "tint", by: number) {
  const now = numbersOf(probe) ?? { kind: "balance" as const, ...NONE };
  const most = name === "light" ? 3 : 100;
  const { kind: _, ...numbers } = now;
  put([probe], {
    ...numbers,
    [name]: Math.max(-most, Math.min(most, Number((now[name] + by).toFixed(3)))),
  });
}
