package illuminar.core.set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Balance;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Faults made on purpose in the invented test room; common practice, no source. */
class PreFlightTest {
  private static final Analysis ROOM = new TestRoom(960, 640).analysis();

  private static PreFlight.Looked over(Move... moves) {
    List<Pass> passes =
        Arrays.stream(moves)
            .map(
                m ->
                    new Pass(
                        UUID.randomUUID().toString(), true, m, Where.EVERYWHERE, Gate.ALL, 1, ""))
            .toList();
    Recipe recipe = new Recipe(new Ground.OneFrame("a1"), List.of(), passes);
    return PreFlight.over(new PreviewSession(ROOM, new RenderCache(100_000_000)), recipe);
  }

  private static List<Concern> concerns(PreFlight.Looked looked) {
    return looked.remarks().stream().map(Remark::concern).toList();
  }

  @Test
  void whatIsBurntIsSaidWithItsShare() {
    Remark burnt =
        over(new Tone(4, 0, 0, 0)).remarks().stream()
            .filter(r -> r.concern() == Concern.BURNT)
            .findFirst()
            .orElseThrow();
    assertThat(burnt.said()).matches("\\d+\\.\\d % of the picture is burnt\\.");
    assertThat(burnt.amount()).isGreaterThan(2);
    assertThat(burnt.stage()).isEqualTo(Stage.LIGHTS);
    assertThat(concerns(over(new Tone(0, 0, 0, 0)))).doesNotContain(Concern.BLOCKED);
    assertThat(concerns(over(new Tone(-5, 0, 0, 0), new Tone(-5, 0, 0, 0))))
        .contains(Concern.BLOCKED);
  }

  /** The walls carry a slight warmth of their own; a strong one is a cast, and its way is said. */
  @Test
  void aCastOnPaleSurfacesIsSaidWithItsHue() {
    assertThat(concerns(over(new Tone(2, 0, 0, 0), new Balance(0, -12, 0, 1))))
        .doesNotContain(Concern.CAST);
    Remark cast =
        over(new Tone(2, 0, 0, 0), new Balance(0, -45, 0, 1)).remarks().stream()
            .filter(r -> r.concern() == Concern.CAST)
            .findFirst()
            .orElseThrow();
    assertThat(cast.said()).contains("towards blue");
  }

  /** Two rooms show their view alike, a third far brighter. */
  @Test
  void aViewUnlikeTheOthersIsSaid() {
    List<PreFlight.Looked> set =
        List.of(
            looked(-1.5),
            looked(-1.4),
            looked(-0.3),
            new PreFlight.Looked(List.of(), OptionalDouble.empty()));
    List<List<Remark>> unlike = PreFlight.unlike(set);
    assertThat(unlike).extracting(List::size).containsExactly(0, 0, 1, 0);
    assertThat(unlike.get(2).get(0).said()).contains("1.1 stops brighter");
    assertThat(unlike.get(2).get(0).amount()).isCloseTo(1.1, within(0.001));
  }

  private static PreFlight.Looked looked(double view) {
    return new PreFlight.Looked(List.of(), OptionalDouble.of(view));
  }
}
