import { create } from "zustand";
import { data, server } from "../../api/client";
import type { Point, Recipe, Speck } from "../../api/types";
import { addPass } from "../edits/passes";
import { addRegion, newPart } from "../edits/regions";
import { toPicture } from "../state/lay";
import { settle } from "../state/gesture";
import { useHelpers } from "../state/helpers";
import { edit, recipe } from "../state/history";
import { useJudged } from "../state/judged";
import { useRail } from "../state/rail";
import { useView } from "../state/view";
import { lookAt } from "../state/viewport";
import { writePath } from "../tools/path";

/** Of the region whose strokes lie on dust that is healed. */
const NAME = "Dust";

/** The stroke over a speck, by the speck. */
const OVER = 1.8;

/** Two places are one speck, share of the long edge. */
const SAME = 0.002;

const KEPT = "specks-left";

interface SpecksState {
  /** The one that is looked at. */
  chosen?: Point;
  /** What a photographer left, by view. */
  left: Record<string, Point[]>;
  /** What is healed, as long as the picture is not looked over anew. */
  healed: Point[];
}

function leftBefore(): SpecksState["left"] {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? "{}") as SpecksState["left"];
  } catch {
    return {};
  }
}

export const useSpecks = create<SpecksState>(() => ({ left: leftBefore(), healed: [] }));

export const same = (a: Point | undefined, b: Point) => !!a && Math.hypot(a.x - b.x, a.y - b.y) < SAME;

/** Whether likely dust is listed: in the stage that mends it. */
export function useLooking(): boolean {
  const on = useHelpers((s) => s.specks);
  const stage = useRail((s) => s.stage);
  return on && stage === "Mend";
}

/** Likely dust in the picture on the bench, without what was left. */
export function useDust() {
  const on = useLooking();
  const id = useView((s) => s.sheet?.id) ?? "";
  const left = useSpecks((s) => s.left[id]);
  const healed = useSpecks((s) => s.healed);
  const found = useJudged(["specks"], on, (view, body) =>
    data(server.POST("/api/views/{id}/specks", { params: { path: { id: view } }, body })),
  );
  const gone = [...(left ?? []), ...(found.isPlaceholderData || found.isFetching ? healed : [])];
  return { ...found, all: found.data?.filter((s) => !gone.some((p) => same(p, s.at))) };
}

/** Looks at a speck: it is marked, and comes to the middle where the picture is not seen whole. */
export function choose(speck: Speck) {
  useSpecks.setState({ chosen: speck.at });
  lookAt(toPicture(speck.at));
}

/** Does not name a speck again. */
export function leave(speck: Speck) {
  const id = useView.getState().sheet?.id ?? "";
  const { left } = useSpecks.getState();
  const now = { ...left, [id]: [...(left[id] ?? []), speck.at] };
  useSpecks.setState({ left: now });
  localStorage.setItem(KEPT, JSON.stringify(now));
}

/** The brush over dust that is healed already. */
function dustOf(r: Recipe | undefined) {
  const region = r?.regions.find(
    (x) => x.name === NAME && r.passes.some((p) => p.move.kind === "heal" && p.where.region === x.id),
  );
  const brush = region?.parts.map((p) => p.shape).find((s) => s.kind === "brush");
  return brush?.kind === "brush" ? brush : undefined;
}

/** Heals a speck with all others that are healed, as one step. */
export function heal(speck: Speck) {
  useSpecks.setState(({ healed }) => ({ healed: [...healed, speck.at] }));
  const stroke = {
    radius: speck.radius * OVER,
    softness: 0.3,
    flow: 1,
    takeAway: false,
    stop: 0,
    path: writePath([speck.at]),
  };
  if (dustOf(recipe())) {
    edit((r) => void dustOf(r)?.strokes.push(stroke));
    settle();
    return;
  }
  const kind = useView.getState().kinds.find((k) => k.kind === "heal");
  if (!kind) return;
  const brush = newPart({ kind: "brush", strokes: [stroke], ceiling: 1, limit: "" });
  addPass(kind, addRegion(NAME, brush), {});
}
