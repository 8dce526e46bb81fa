import type { Recipe, RecipeState } from "../../api/types";

/** How the recipe on screen stands against what the server keeps. */
export interface Saved {
  /**
   * saved; on its way; the server is out of reach and is tried again; another tab changed the view; or it
   * could not be kept, for a reason that trying again does not mend.
   */
  state: "saved" | "saving" | "offline" | "conflict" | "failed";
  revision: number;
  canUndo: boolean;
  canRedo: boolean;
  /** The last step in words, or the reason why it could not be saved. */
  said: string;
  /** Ids of the frames that the picture is made from. */
  frames: string[];
}

/** Where to go in the history: back, on again, or to a step by its number. */
export type Way = "undo" | "redo" | number;

/** The server as the history needs it. Every call may throw what {@link Steps} was told to read. */
export interface Keeper {
  put(recipe: Recipe, edition: number): Promise<RecipeState>;
  travel(way: Way, edition: number): Promise<RecipeState>;
  load(): Promise<RecipeState>;
}

/** What a failed call means. */
export type Failure = { kind: "unreachable" | "conflict" | "refused" | "failed"; said: string };

export interface Standing {
  recipe?: Recipe;
  /** The recipe after the last finished gesture. */
  settled?: Recipe;
  saved: Saved;
}

const FIRST_PAUSE = 2000;
const LONGEST_PAUSE = 30_000;

/**
 * The steps of one recipe: changed on screen at once, kept by the server one after the other, however fast the
 * hands are. A step that the server refuses is taken back, unless a later one mends it; one that cannot reach
 * the server waits and is tried again; undo waits behind what is still on its way.
 */
export class Steps {
  private standing: Standing = {
    saved: { state: "saved", revision: 0, canUndo: false, canRedo: false, said: "", frames: [] },
  };
  private edition = 0;
  /** The recipe as the server last had it. */
  private kept?: Recipe;
  private line: Promise<void> = Promise.resolve();
  private waiting = 0;
  /** Counts changes made here, so that an answer knows whether it is still wanted. */
  private edits = 0;
  private pause = FIRST_PAUSE;
  private retry?: ReturnType<typeof setTimeout>;

  constructor(
    private readonly keeper: Keeper,
    private readonly read: (error: unknown) => Failure,
    private readonly tell: (standing: Standing, problem?: string) => void,
  ) {}

  get now(): Standing {
    return this.standing;
  }

  /** Whether something that was done is not kept yet. */
  get unsaved(): boolean {
    return this.standing.saved.state !== "saved" || this.waiting > 0 || this.standing.recipe !== this.kept;
  }

  private say(to: Partial<Standing>, problem?: string) {
    this.standing = { ...this.standing, ...to };
    this.tell(this.standing, problem);
  }

  private mark(to: Partial<Saved>, problem?: string) {
    this.say({ saved: { ...this.standing.saved, ...to } }, problem);
  }

  /** Takes over a state of the server. */
  take(state: RecipeState) {
    const { recipe, edition, ...saved } = state;
    this.kept = recipe;
    this.edition = edition;
    this.say({ recipe, settled: recipe, saved: { state: "saved", ...saved } });
  }

  /** Changes the recipe on screen at once; {@link settle} keeps it. */
  change(edit: (recipe: Recipe) => Recipe) {
    const { recipe } = this.standing;
    if (!recipe) return;
    const next = edit(recipe);
    if (next === recipe) return;
    this.edits++;
    this.say({ recipe: next });
  }

  /** The gesture is over: one step, whatever is still on its way. */
  settle() {
    const { recipe, saved } = this.standing;
    if (!recipe) return;
    const saving = recipe !== this.kept && saved.state === "saved";
    this.say({ settled: recipe, saved: saving ? { ...saved, state: "saving" } : saved });
    this.waiting++;
    void this.queue(() => this.save(recipe));
  }

  private queue(task: () => Promise<void>): Promise<void> {
    this.line = this.line.then(task);
    return this.line;
  }

  private async save(recipe: Recipe) {
    this.waiting--;
    if (this.standing.saved.state === "conflict") return;
    if (recipe === this.kept) {
      if (this.waiting === 0 && this.standing.saved.state === "saving") this.mark({ state: "saved" });
      return;
    }
    if (this.standing.saved.state !== "offline") this.mark({ state: "saving" });
    try {
      const state = await this.keeper.put(recipe, this.edition);
      this.kept = recipe;
      this.answered(state);
    } catch (e) {
      this.failed(this.read(e), recipe);
    }
  }

  /** Takes over the server's answer about the history, without its recipe. */
  private answered({ recipe: _, edition, ...saved }: RecipeState) {
    this.edition = edition;
    this.pause = FIRST_PAUSE;
    const state = this.waiting > 0 ? "saving" : "saved";
    this.say({ saved: { state, ...saved } });
  }

  /**
   * @param refused the recipe that could not be kept; nothing for a step through the history
   */
  private failed({ kind, said }: Failure, refused?: Recipe) {
    if (kind === "conflict") {
      this.mark({ state: "conflict", said });
    } else if (kind === "unreachable") {
      this.mark({ state: "offline", said });
      clearTimeout(this.retry);
      this.retry = setTimeout(() => this.tryAgain(), this.pause);
      this.pause = Math.min(LONGEST_PAUSE, this.pause * 1.6);
    } else if (kind === "failed") {
      this.mark({ state: "failed", said }, said);
    } else if (this.waiting === 0 && (!refused || refused === this.standing.recipe)) {
      // nothing that was done later could mend it
      const recipe = this.kept;
      this.edits++;
      const saved: Saved = { ...this.standing.saved, state: "saved" };
      this.say({ recipe, settled: recipe, saved }, `Taken back: ${said}`);
    }
  }

  /** Tries to keep what is not kept, at once. */
  tryAgain() {
    clearTimeout(this.retry);
    if (["offline", "failed"].includes(this.standing.saved.state)) this.settle();
  }

  /** After another tab's change: load the other version, or put ours on top of it. */
  async resolve(keepMine: boolean) {
    const mine = this.standing.recipe;
    this.take(await this.keeper.load());
    if (keepMine && mine) {
      this.say({ recipe: mine });
      this.settle();
    }
  }

  /** One step through the history. A change made here while it is under way stays, on top of it. */
  travel(way: Way): Promise<void> {
    const asked = this.edits;
    return this.queue(async () => {
      if (this.standing.saved.state === "conflict") return;
      try {
        const state = await this.keeper.travel(way, this.edition);
        if (this.edits === asked) this.take(state);
        else {
          this.kept = state.recipe;
          this.answered(state);
        }
      } catch (e) {
        this.failed(this.read(e));
      }
    });
  }

  /** Stops trying; what stands in line still goes out. */
  close() {
    clearTimeout(this.retry);
  }
}
