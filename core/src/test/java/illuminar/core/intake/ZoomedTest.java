package illuminar.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Views told apart by the lens: common practice, no source. */
class ZoomedTest {
  private static final LocalDateTime NOON = LocalDateTime.of(2026, 6, 11, 12, 0);

  private static Grouping.Found shot(int second, double stops, OptionalDouble millimetres) {
    return new Grouping.Found(
        "f" + second,
        Optional.of(NOON.plusSeconds(second)),
        OptionalDouble.of(stops),
        false,
        2400,
        1600,
        millimetres,
        1 / (1 + Math.exp(-(stops + 8) * 0.7)));
  }

  private static List<Grouping.Found> bracket(int at, double millimetres) {
    List<Grouping.Found> out = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      out.add(shot(at + i, -12 + 2 * i, OptionalDouble.of(millimetres)));
    }
    return out;
  }

  /**
   * A zoom that was turned is another set-up; what cameras round, and what no lens tells, is not.
   */
  @Test
  void anotherFocalLengthIsAnotherView() {
    List<Grouping.Found> card = bracket(0, 17);
    card.set(2, shot(2, -8, OptionalDouble.of(17.3)));
    card.add(shot(5, -4, OptionalDouble.empty()));
    card.addAll(bracket(12, 24));
    assertThat(Grouping.views(card)).extracting(v -> v.frames().size()).containsExactly(6, 5);
  }
}
