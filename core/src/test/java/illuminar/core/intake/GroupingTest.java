package illuminar.core.intake;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Role;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Rules of the trade: bursts within seconds, minutes between views. Common practice, no source. */
class GroupingTest {
  private static final LocalDateTime NOON = LocalDateTime.of(2026, 6, 11, 12, 0);

  private static Grouping.Found shot(String id, int second, double stops, boolean flash) {
    double middle = 1 / (1 + Math.exp(-(stops + 8) * 0.7));
    return new Grouping.Found(
        id,
        Optional.of(NOON.plusSeconds(second)),
        OptionalDouble.of(stops),
        flash,
        2400,
        1600,
        middle);
  }

  private static List<Grouping.Found> bracket(String name, int at) {
    List<Grouping.Found> out = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      out.add(shot(name + i, at + i, -12 + 2 * i, false));
    }
    return out;
  }

  @Test
  void onePauseMakesTwoViews() {
    List<Grouping.Found> card = bracket("a", 0);
    card.addAll(bracket("b", 300));
    List<Grouping.View> views = Grouping.views(card);
    assertThat(views).hasSize(2);
    assertThat(views.get(0).frames()).hasSize(5);
    assertThat(views.get(0).anchor()).isEqualTo("a2");
  }

  @Test
  void aRepeatedExposureBeginsANewViewAfterAShortPause() {
    List<Grouping.Found> card = bracket("a", 0);
    card.addAll(bracket("b", 40));
    assertThat(Grouping.views(card)).hasSize(2);
  }

  @Test
  void flashAndWindowFramesBelongToTheirBracket() {
    List<Grouping.Found> card = bracket("a", 0);
    card.add(shot("flash", 20, -10, true));
    card.add(shot("window", 40, -13, false));
    List<Grouping.View> views = Grouping.views(card);
    assertThat(views).hasSize(1);
    assertThat(views.get(0).frames())
        .extracting(Grouping.Placed::role)
        .containsExactly(
            Role.AMBIENT,
            Role.AMBIENT,
            Role.AMBIENT,
            Role.AMBIENT,
            Role.AMBIENT,
            Role.FLASH,
            Role.WINDOW);
  }

  @Test
  void anotherSizeIsAnotherView() {
    Grouping.Found big = shot("big", 0, -8, false);
    Grouping.Found small =
        new Grouping.Found(
            "small", Optional.of(NOON.plusSeconds(1)), OptionalDouble.of(-8), false, 600, 400, 0.5);
    assertThat(Grouping.views(List.of(big, small))).hasSize(2);
  }

  @Test
  void framesWithoutTagsAreNotLost() {
    Grouping.Found bare =
        new Grouping.Found(
            "bare", Optional.empty(), OptionalDouble.empty(), false, 2400, 1600, 0.5);
    List<Grouping.View> views = Grouping.views(List.of(bare, shot("a", 0, -8, false)));
    assertThat(views).hasSize(2);
    assertThat(Grouping.views(List.of(bare)).get(0).anchor()).isEqualTo("bare");
  }

  @Test
  void orderOnTheCardDoesNotMatter() {
    List<Grouping.Found> card = bracket("a", 0);
    java.util.Collections.reverse(card);
    assertThat(Grouping.views(card).get(0).frames().get(0).frame().id()).isEqualTo("a0");
  }
}
