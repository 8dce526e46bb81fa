package illuminar.core.first;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.GardenRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.cast.Casts;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Balance;
import illuminar.core.pass.kinds.ClearCasts;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a step of a first version did, measured; and steps that are taken back. Our own rules. */
class SeenTest {
  private static final double[] RED = {0.30, 0.05, 0.04};
  private static final double[] BLUE = {0.05, 0.09, 0.24};

  /** Grey walls under light as warm as asked for, with a thing on them. */
  private static Analysis room(double warm, double... thing) {
    return GardenRoom.analysis(
        (x, y, c) -> {
          boolean there = x > 300 && x < 700 && y > 200 && y < 620;
          double paint = there ? thing[c] : 0.30;
          return paint * (c == 0 ? warm : c == 2 ? 1 / warm : 1);
        },
        1,
        2);
  }

  private static PreviewSession session(Analysis analysis) {
    return new PreviewSession(analysis, new RenderCache(60_000_000));
  }

  @Test
  void whatAPassDidToNeutralAndToColouredThingsIsMeasured() {
    PreviewSession session = session(room(1.12, RED));
    Recipe ground = FirstVersion.evenBlend(session.analysis().frames());
    Seen before = Seen.of(ground, session);
    Seen.Done nothing = before.doneBy(before);
    assertThat(nothing.coloured()).isEqualTo(1);
    assertThat(nothing.neutral()).isGreaterThan(3);
    Draft draft = new Draft(ground);
    draft.pass("pale", new Balance(0, 0, 0, 0.5), Where.EVERYWHERE, 1, "");
    Seen.Done paler = before.doneBy(Seen.of(draft.done(), session));
    assertThat(paler.coloured()).isCloseTo(0.6, within(0.15));
    assertThat(paler.neutral()).isLessThan(0.65 * nothing.neutral());
  }

  /** A cast on white walls is cleared, and the red thing stays red. */
  @Test
  void castsAreClearedWhereColouredThingsKeepTheirColour() {
    PreviewSession session = session(room(1.12, RED));
    Recipe ground = FirstVersion.evenBlend(session.analysis().frames());
    Recipe done = FirstVersion.propose("Colour", ground, session).recipe();
    assertThat(done.passes()).anyMatch(p -> p.move() instanceof ClearCasts);
    Seen.Done effect = Seen.of(ground, session).doneBy(Seen.of(done, session));
    assertThat(effect.neutral()).isLessThan(3);
    assertThat(effect.coloured()).isGreaterThan(0.7);
  }

  @Test
  void neutralWallsAreLeftAlone() {
    PreviewSession session = session(room(1, RED));
    Recipe ground = FirstVersion.evenBlend(session.analysis().frames());
    Proposal none = FirstVersion.propose("Colour", ground, session);
    assertThat(none.recipe()).isEqualTo(ground);
    assertThat(none.said()).contains("no cast");
  }

  /** A blue thing in blue light loses what the light loses, and keeps the colour that it is. */
  @Test
  void aThingInTheLightsOwnColourIsNotFadedByClearingTheLight() {
    PreviewSession cold = session(room(0.8, BLUE));
    PreviewSession neutral = session(room(1, BLUE));
    Seen before = Seen.of(FirstVersion.evenBlend(cold.analysis().frames()), cold);
    Seen after = Seen.of(FirstVersion.evenBlend(neutral.analysis().frames()), neutral);
    assertThat(before.doneBy(after).coloured()).isCloseTo(1, within(0.2));
  }

  /** Cleared in part, a cast was no light of the hour: most of the rest goes, not half of all. */
  @Test
  void whatIsLeftOfACastThatWasClearedInPartIsBalanced() {
    PreviewSession session = session(room(0.72, RED));
    Recipe ground = FirstVersion.evenBlend(session.analysis().frames());
    assertThat(balanced(ground, session)).containsExactly(0.4);
    Draft draft = new Draft(ground);
    ClearCasts half = new ClearCasts(Casts.Source.SURFACES, "", 0.5, 0);
    draft.pass("casts", half, Where.EVERYWHERE, 1, "");
    assertThat(balanced(draft.done(), session)).containsExactly(0.8);
  }

  /** Strengths of the balances that a recipe has once one was proposed. */
  private static List<Double> balanced(Recipe recipe, PreviewSession session) {
    return FirstVersion.propose("Balance", recipe, session).recipe().passes().stream()
        .filter(p -> p.move() instanceof Balance)
        .map(Pass::strength)
        .toList();
  }
}
