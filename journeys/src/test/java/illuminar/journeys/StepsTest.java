package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Steps of the recipe are kept one after the other, whatever becomes of them on the way; our own
 * rules.
 */
class StepsTest extends OnModules {
  /** A keeper that answers by hand: {@code put} waits until it is let go or refused. */
  private static final String KEEPER =
      """
      const calls = [], told = [];
      let edition = 1, server = { n: 0 }, revision = 1;
      const answer = () => ({ recipe: server, edition, revision, canUndo: true, canRedo: false,
        said: 'step ' + revision, frames: [] });
      const keeper = {
        put: (recipe, e) => new Promise((ok, no) => calls.push({ recipe, edition: e,
          ok: () => { server = recipe; edition++; revision++; ok(answer()); }, no })),
        travel: (way, e) => new Promise((ok, no) => calls.push({ way, edition: e,
          ok: (r) => { server = r; edition++; ok(answer()); }, no })),
        load: async () => answer(),
      };
      const steps = new m.Steps(keeper, (e) => e, (s, problem) => told.push(problem));
      steps.take(answer());
      const rest = () => new Promise((r) => setTimeout(r));
      """;

  /** One change after the other goes out, each with the edition that the one before brought. */
  @Test
  void stepsAreKeptOneAfterTheOther() {
    Object seen =
        call(
            KEEPER
                + """
                steps.change((r) => ({ n: 1 })); steps.settle();
                steps.change((r) => ({ n: 2 })); steps.settle();
                await rest();
                const waiting = calls.length;
                calls[0].ok(); await rest();
                const second = calls[1].edition, saving = steps.now.saved.state;
                calls[1].ok(); await rest();
                return [waiting, second, saving, steps.now.saved.state, server.n, steps.unsaved];
                """);
    assertThat(seen).isEqualTo(List.of(1, 2, "saving", "saved", 2, false));
  }

  /** Undo waits behind a change that is still on its way, and undoes that one. */
  @Test
  void undoWaitsBehindAWaitingSave() {
    Object seen =
        call(
            KEEPER
                + """
                steps.change(() => ({ n: 1 })); steps.settle();
                void steps.travel('undo');
                await rest();
                const first = calls.map((c) => c.way ?? 'put');
                calls[0].ok(); await rest();
                calls[1].ok({ n: 0 }); await rest();
                return [first.join(), calls[1].way, steps.now.recipe.n, steps.now.saved.state];
                """);
    assertThat(seen).isEqualTo(List.of("put", "undo", 0, "saved"));
  }

  /** What is changed while an undo is on its way stays, on top of it. */
  @Test
  void aChangeDuringAnUndoStays() {
    Object seen =
        call(
            KEEPER
                + """
                void steps.travel('undo'); await rest();
                steps.change(() => ({ n: 7 })); steps.settle();
                calls[0].ok({ n: 0 }); await rest();
                calls[1].ok(); await rest();
                return [steps.now.recipe.n, server.n, calls[1].edition];
                """);
    assertThat(seen).isEqualTo(List.of(7, 7, 2));
  }

  /** A refused step is taken back at once and said; later steps are kept again. */
  @Test
  void aRefusedStepIsTakenBackAndSaid() {
    Object seen =
        call(
            KEEPER
                + """
                steps.change(() => ({ n: 1 })); steps.settle(); await rest();
                calls[0].no({ kind: 'refused', said: 'Black stays below white.' }); await rest();
                const back = steps.now.recipe.n, said = told.at(-1), state = steps.now.saved.state;
                steps.change(() => ({ n: 2 })); steps.settle(); await rest();
                calls[1].ok(); await rest();
                return [back, said, state, server.n, steps.unsaved];
                """);
    assertThat(seen)
        .isEqualTo(List.of(0, "Taken back: Black stays below white.", "saved", 2, false));
  }

  /** A refusal that a later step has mended already loses nothing. */
  @Test
  void aRefusalThatIsMendedAlreadyTakesNothingBack() {
    Object seen =
        call(
            KEEPER
                + """
                steps.change(() => ({ n: 1 })); steps.settle();
                steps.change(() => ({ n: 2 })); steps.settle(); await rest();
                calls[0].no({ kind: 'refused', said: 'no' }); await rest();
                calls[1].ok(); await rest();
                return [steps.now.recipe.n, server.n, told.filter(Boolean).length];
                """);
    assertThat(seen).isEqualTo(List.of(2, 2, 0));
  }

  /** "Trying again" is only said where it is so: out of reach it is, refused for good it is not. */
  @Test
  void outOfReachIsTriedAgainAndAFailureIsNot() {
    Object seen =
        call(
            KEEPER
                + """
                const later = window.setTimeout; const due = [];
                window.setTimeout = (f, ms) => ms > 1000 ? due.push(f) : later(f, ms);
                steps.change(() => ({ n: 1 })); steps.settle(); await rest();
                calls[0].no({ kind: 'unreachable', said: 'away' }); await rest();
                const state = steps.now.saved.state, tries = due.length;
                due[0](); await rest();
                calls[1].no({ kind: 'failed', said: 'gone' }); await rest();
                const failed = steps.now.saved.state, more = due.length;
                steps.tryAgain(); await rest();
                calls[2].ok(); await rest();
                window.setTimeout = later;
                return [state, tries, failed, more, steps.now.saved.state, server.n];
                """);
    assertThat(seen).isEqualTo(List.of("offline", 1, "failed", 1, "saved", 1));
  }

  /** Another tab's change stops everything until somebody decides. */
  @Test
  void aConflictWaitsForADecision() {
    Object seen =
        call(
            KEEPER
                + """
                steps.change(() => ({ n: 1 })); steps.settle(); await rest();
                calls[0].no({ kind: 'conflict', said: 'another tab' }); await rest();
                steps.change(() => ({ n: 2 })); steps.settle(); await rest();
                const silent = calls.length;
                server = { n: 9 }; edition = 5;
                await steps.resolve(true); await rest();
                const on = calls[1].edition; calls[1].ok(); await rest();
                return [silent, on, server.n, steps.now.saved.state];
                """);
    assertThat(seen).isEqualTo(List.of(1, 5, 2, "saved"));
  }
}
