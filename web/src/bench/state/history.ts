import { produce } from "immer";
import { create } from "zustand";
import { data, ifMatch, Refused, saidOf, server, signedOut } from "../../api/client";
import type { Recipe } from "../../api/types";
import { Steps, type Failure, type Keeper, type Standing } from "./steps";
import { complain } from "./view";

/** The recipe on screen and how it is kept. */
export const useHistory = create<Standing>(() => ({
  saved: { state: "saved", revision: 0, canUndo: false, canRedo: false, said: "", frames: [] },
}));

let steps: Steps | undefined;

function keeper(id: string): Keeper {
  const path = { id };
  return {
    put: (recipe, edition) =>
      data(
        server.PUT("/api/views/{id}/recipe", {
          params: { path, header: ifMatch(edition) },
          body: recipe,
        }),
      ),
    travel: (way, edition) => {
      const params = { path, header: ifMatch(edition) };
      if (typeof way === "number") {
        const step = { path: { id, number: way }, header: ifMatch(edition) };
        return data(server.POST("/api/views/{id}/history/{number}", { params: step }));
      }
      return data(
        way === "undo"
          ? server.POST("/api/views/{id}/undo", { params })
          : server.POST("/api/views/{id}/redo", { params }),
      );
    },
    load: () => data(server.GET("/api/views/{id}/recipe", { params: { path } })),
  };
}

function failure(e: unknown): Failure {
  const said = saidOf(e);
  const status = e instanceof Refused ? e.status : -1;
  if (status === 412) return { kind: "conflict", said };
  if (status === 422 || status === 400) return { kind: "refused", said };
  // signed out: it goes on as soon as somebody signs in again
  if (status === 0 || signedOut(status) || status >= 500) return { kind: "unreachable", said };
  return { kind: "failed", said };
}

/** Begins the history of a view; the returned function leaves it. */
export function openHistory(view: string): () => void {
  const own = new Steps(keeper(view), failure, (standing, problem) => {
    if (steps !== own) return;
    useHistory.setState(standing, true);
    if (problem) complain(problem);
  });
  steps = own;
  useHistory.setState(own.now, true);
  const warn = (e: BeforeUnloadEvent) => {
    if (own.unsaved) e.preventDefault();
  };
  window.addEventListener("beforeunload", warn);
  return () => {
    window.removeEventListener("beforeunload", warn);
    own.close();
    if (steps === own) steps = undefined;
  };
}

/** Loads the recipe as the server has it. */
export async function loadHistory(view: string) {
  const own = steps;
  own?.take(await keeper(view).load());
}

/** Whether something that was done is not kept yet. */
export const unsaved = () => steps?.unsaved ?? false;

export const recipe = (): Recipe | undefined => useHistory.getState().recipe;

/** Changes the recipe on screen at once, in place on a draft; {@link settle} keeps it. */
export function edit(change: (draft: Recipe) => void) {
  steps?.change((now) => produce(now, change));
}

/** Puts another recipe on screen; {@link settle} keeps it. */
export function replace(other: Recipe) {
  steps?.change(() => other);
}

/** The gesture is over: one step for the history. */
export const settle = () => steps?.settle();
export const undo = () => steps?.travel("undo");
export const redo = () => steps?.travel("redo");
export const goTo = (step: number) => steps?.travel(step);
export const resolve = (keepMine: boolean) => steps?.resolve(keepMine);
export const tryAgain = () => steps?.tryAgain();
