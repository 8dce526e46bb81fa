import { data, Refused, saidOf, server } from "../../api/client";
import type { Recipe, ViewSheet } from "../../api/types";
import { askBefore, askMask, askPicture, askThumbs, connect, disconnect, isConnected } from "./asking";
import { resetBoard, useBoard } from "./board";
import { hurried, resetGesture, useGesture, work } from "./gesture";
import { resetHand, take, useHand } from "./hand";
import { resetHelpers } from "./helpers";
import { loadHistory, openHistory, useHistory } from "./history";
import { corner, layAnew, pictureSize, resetLay, useLay } from "./lay";
import { resetMasks, useMasks } from "./masks";
import { complain, resetView, useView } from "./view";
import { resetViewport, show, useViewport } from "./viewport";
import { dropBefore, resetWipe, useWipe } from "./wipe";

/** Opens a view; the returned function leaves it. What changes anywhere is shown from here. */
export function sit(view: string): () => void {
  let left = false;
  resetView();
  resetViewport();
  resetHand();
  resetGesture();
  resetMasks();
  resetBoard();
  resetHelpers();
  resetWipe();
  resetLay();
  const closeHistory = openHistory(view);
  const stops: (() => void)[] = [];
  const begin = async () => {
    const cover = server.GET("/api/views/{id}/cover", {
      params: { path: { id: view }, query: { kept: true } },
      parseAs: "blob",
    });
    // a view that is not there has no cover either
    cover.catch(() => {});
    const path = { id: view };
    const [sheet, kinds, partKinds, groundKinds, board] = await Promise.all([
      data(server.GET("/api/views/{id}", { params: { path } })),
      data(server.GET("/api/catalogue")),
      data(server.GET("/api/catalogue/parts")),
      data(server.GET("/api/catalogue/grounds")),
      data(server.GET("/api/views/{id}/board", { params: { path } })),
      loadHistory(view),
    ]);
    if (left) return;
    useView.setState({ sheet, kinds, partKinds, groundKinds });
    resetBoard(board);
    await layAnew();
    if (left) return;
    void standIn(sheet, cover);
    connect(view);
    stops.push(...watch());
    askPicture();
  };
  begin().catch((e: unknown) => {
    if (left) return;
    if (e instanceof Refused && [400, 404, 409].includes(e.status)) useView.setState({ missing: e.message });
    else complain(saidOf(e));
  });
  return () => {
    left = true;
    stops.forEach((stop) => stop());
    closeHistory();
    disconnect();
    resetViewport();
    resetMasks();
  };
}

/** Shows the contact table's picture until the view's first picture is drawn. */
async function standIn(sheet: ViewSheet, cover: Promise<{ data?: Blob }>) {
  const blob = (await cover.catch(() => ({ data: undefined }))).data;
  if (!blob || blob.size === 0) return;
  const image = await createImageBitmap(blob);
  if (useViewport.getState().picture || useView.getState().sheet !== sheet) {
    image.close();
    return;
  }
  const { width, height } = image;
  show({ image, raster: { scale: width / pictureSize().w, x: 0, y: 0, width, height }, corner: corner() });
}

/** Calls a task once, however often it is wanted in one go. */
function once(task: () => void): () => void {
  let due = false;
  return () => {
    if (due) return;
    due = true;
    queueMicrotask(() => {
      due = false;
      if (isConnected()) task();
    });
  };
}

/** Asks anew for what depends on what has changed. */
function watch(): (() => void)[] {
  const pictureDue = once(askPicture);
  const maskDue = once(askMask);
  return [
    useHistory.subscribe((now, old) => {
      if (now.recipe !== old.recipe) {
        if (useViewport.getState().alone) useViewport.setState({ alone: "" });
        forgetLost(now.recipe);
        if (now.recipe?.geometry === old.recipe?.geometry) {
          // the server draws while the page draws its controls
          if (hurried()) askPicture();
          else pictureDue();
          maskDue();
        } else void layAnew();
      }
      if (now.settled !== old.settled) askThumbs(now.settled?.ground !== old.settled?.ground);
    }),
    useViewport.subscribe((now, old) => {
      const moved = now.zoom !== old.zoom || now.stage !== old.stage;
      if (moved || now.alone !== old.alone) pictureDue();
      if (moved) maskDue();
    }),
    useGesture.subscribe((now, old) => {
      const rests = hurried(old) && !hurried(now);
      if (now.before !== old.before || rests) pictureDue();
      if ((!now.moving && old.moving) || (old.reshaping && rests)) maskDue();
    }),
    useBoard.subscribe((now, old) => {
      if (now.probes !== old.probes || now.reference !== old.reference) pictureDue();
    }),
    useHand.subscribe((now, old) => {
      if (now.region !== old.region) maskDue();
      const taken = now.sheet && now.region !== old.region ? now.region : now.pass !== old.pass && now.pass;
      if (taken && isConnected()) {
        work(taken);
        pictureDue();
      }
    }),
    useLay.subscribe((now, old) => {
      if (now.of === old.of && now.lay === old.lay) return;
      pictureDue();
      maskDue();
      if (now.lay === old.lay) return;
      dropBefore();
      askThumbs(true);
    }),
    useWipe.subscribe((now, old) => {
      if (now.mode !== old.mode) askBefore();
    }),
    useMasks.subscribe((now, old) => {
      if (now.hovered !== old.hovered) maskDue();
    }),
  ];
}

/** What is chosen and no longer there is not chosen. */
function forgetLost(recipe: Recipe | undefined) {
  const { pass, region } = useHand.getState();
  if (pass && !recipe?.passes.some((p) => p.id === pass)) take({ pass: "" });
  if (region && !recipe?.regions.some((r) => r.id === region)) take({ region: "", sheet: false, part: "" });
}
