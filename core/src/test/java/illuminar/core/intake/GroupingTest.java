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

  /** A pause of a minute and a quarter is still the same view, a longer one is not. */
  @Test
  void aPauseBeginsAViewOnlyWhenLongerThanTheLimit() {
    int limit = (int) Grouping.PAUSE.toSeconds();
    assertThat(Grouping.views(List.of(shot("a", 0, -8, false), shot("b", limit, -6, false))))
        .hasSize(1);
    assertThat(Grouping.views(List.of(shot("a", 0, -8, false), shot("b", limit + 1, -6, false))))
        .hasSize(2);
  }

  /** Whoever takes a whole bracket anew has moved on; within 20 s it is the lamps that changed. */
  @Test
  void aRepeatedExposureBeginsAViewOnlyAfterTwentySecondsAndAFinishedBracket() {
    List<Grouping.Found> three =
        List.of(shot("a", 0, -10, false), shot("b", 1, -8, false), shot("c", 2, -6, false));
    assertThat(Grouping.views(with(three, shot("d", 22, -10, false)))).hasSize(1);
    assertThat(Grouping.views(with(three, shot("d", 23, -10, false)))).hasSize(2);
    assertThat(Grouping.views(with(three, shot("d", 23, -10, true))))
        .as("a flash frame belongs to the bracket before it")
        .hasSize(1);
    assertThat(Grouping.views(with(three, shot("d", 23, -4, false))))
        .as("an exposure that the bracket does not have")
        .hasSize(1);
    assertThat(Grouping.views(with(three, shot("d", 23, -10.25, false))))
        .as("a quarter of a stop apart is another exposure")
        .hasSize(1);
    assertThat(Grouping.views(with(three.subList(0, 2), shot("d", 23, -10, false))))
        .as("two frames are no finished bracket")
        .hasSize(1);
    assertThat(
            Grouping.views(
                with(
                    three,
                    new Grouping.Found(
                        "d",
                        Optional.of(NOON.plusSeconds(23)),
                        OptionalDouble.empty(),
                        false,
                        2400,
                        1600,
                        0.5))))
        .as("nothing is known of its exposure")
        .hasSize(1);
  }

  @Test
  void aBracketOfFlashFramesRepeatsNothing() {
    List<Grouping.Found> card =
        List.of(shot("a", 0, -10, true), shot("b", 1, -8, true), shot("c", 2, -6, true));
    assertThat(Grouping.views(with(card, shot("d", 30, -8, false)))).hasSize(1);
  }

  @Test
  void framesWithoutAClockStayTogether() {
    assertThat(Grouping.views(List.of(timeless("a", -8), timeless("b", -6)))).hasSize(1);
  }

  /** The same exposure once more, after a walk to the switch: the room without its lamps. */
  @Test
  void lampsOffRepeatsAnExposureSomeSecondsAfterTheBracket() {
    List<Grouping.Found> three =
        List.of(shot("a", 0, -10, false), shot("b", 1, -8, false), shot("c", 2, -6, false));
    assertThat(lastRole(with(three, shot("d", 7, -8, false)))).isEqualTo(Role.LAMPS_OFF);
    assertThat(lastRole(with(three, shot("d", 6, -8, false))))
        .as("nobody is that quick")
        .isEqualTo(Role.AMBIENT);
    assertThat(lastRole(with(three, shot("d", 7, -4, false)))).isEqualTo(Role.AMBIENT);
    assertThat(lastRole(with(three.subList(0, 2), shot("d", 7, -8, false))))
        .isEqualTo(Role.AMBIENT);
    assertThat(lastRole(with(three, timeless("d", -8)))).isEqualTo(Role.AMBIENT);
    assertThat(
            lastRole(
                List.of(
                    timeless("a", -10),
                    timeless("b", -8),
                    timeless("c", -6),
                    shot("d", 7, -8, false))))
        .isEqualTo(Role.AMBIENT);
    assertThat(lastRole(with(three, shot("d", 7, -8, true)))).isEqualTo(Role.FLASH);
  }

  /**
   * A frame exposed for the view is taken apart from the bracket and is about as dark as it gets.
   */
  @Test
  void theWindowFrameStandsApartAndIsDark() {
    List<Grouping.Found> three =
        List.of(shot("a", 0, -12, false), shot("b", 1, -10, false), shot("c", 2, -8, false));
    assertThat(lastRole(with(three, shot("w", 10, -13, false)))).isEqualTo(Role.WINDOW);
    assertThat(lastRole(with(three, shot("w", 9, -13, false))))
        .as("part of the same burst")
        .isEqualTo(Role.AMBIENT);
    assertThat(lastRole(with(three, shot("w", 10, -11, false))))
        .as("a stop over the darkest is dark still")
        .isEqualTo(Role.WINDOW);
    assertThat(lastRole(with(three, shot("w", 10, -10.9, false)))).isEqualTo(Role.AMBIENT);
    assertThat(lastRole(with(three.subList(0, 2), shot("w", 10, -13, false))))
        .as("two frames are no bracket to stand apart from")
        .isEqualTo(Role.AMBIENT);
    assertThat(lastRole(with(three, timeless("w", -13)))).isEqualTo(Role.AMBIENT);
  }

  @Test
  void anIrregularRowOfExposuresHasNoWindowFrame() {
    List<Grouping.Found> uneven =
        List.of(
            shot("a", 0, -12, false),
            shot("b", 1, -10, false),
            shot("c", 2, -7, false),
            shot("d", 3, -3, false));
    assertThat(lastRole(with(uneven, shot("w", 12, -13, false)))).isEqualTo(Role.AMBIENT);
    List<Grouping.Found> two =
        List.of(
            shot("a", 0, -12, false),
            shot("b", 1, -10, false),
            shot("c", 2, -8, false),
            shot("d", 3, -5, false));
    assertThat(lastRole(with(two, shot("w", 12, -13, false))))
        .as("two kinds of steps: one bracket with a brighter frame added")
        .isEqualTo(Role.WINDOW);
  }

  /** Thirds of a stop are what a dial offers; a step is told from another by them. */
  @Test
  void stepsAreToldApartByThirdsOfAStop() {
    List<Grouping.Found> thirds =
        List.of(
            shot("a", 0, -12, false),
            shot("b", 1, -11.67, false),
            shot("c", 2, -11, false),
            shot("d", 3, -10, false));
    assertThat(lastRole(with(thirds, shot("w", 12, -12.5, false)))).isEqualTo(Role.AMBIENT);
  }

  @Test
  void framesWithoutAnExposureAreAmbient() {
    List<Grouping.Found> bare = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      bare.add(
          new Grouping.Found(
              "n" + i,
              Optional.of(NOON.plusSeconds(i)),
              OptionalDouble.empty(),
              false,
              2400,
              1600,
              0.1 * i));
    }
    assertThat(lastRole(with(bare, shot("w", 14, -13, false)))).isEqualTo(Role.AMBIENT);
  }

  /** Geometry comes from the ambient frame nearest to middle brightness. */
  @Test
  void theAnchorIsAnAmbientFrameOfMiddleBrightness() {
    List<Grouping.Found> card =
        List.of(
            bright("a", 0, false, 0.1),
            bright("b", 1, false, 0.4),
            bright("c", 2, false, 0.8),
            bright("f", 3, true, 0.46));
    assertThat(Grouping.view(card).anchor()).isEqualTo("b");
    assertThat(
            Grouping.view(List.of(bright("f", 0, true, 0.1), bright("g", 1, true, 0.46))).anchor())
        .as("where none is ambient, the first")
        .isEqualTo("f");
  }

  private static Grouping.Found bright(String id, int second, boolean flash, double middle) {
    return new Grouping.Found(
        id,
        Optional.of(NOON.plusSeconds(second)),
        OptionalDouble.of(-8 + second),
        flash,
        2400,
        1600,
        middle);
  }

  private static Grouping.Found timeless(String id, double stops) {
    return new Grouping.Found(
        id, Optional.empty(), OptionalDouble.of(stops), false, 2400, 1600, 0.5);
  }

  private static List<Grouping.Found> with(List<Grouping.Found> frames, Grouping.Found more) {
    List<Grouping.Found> out = new ArrayList<>(frames);
    out.add(more);
    return out;
  }

  private static Role lastRole(List<Grouping.Found> frames) {
    List<Grouping.Placed> placed = Grouping.view(frames).frames();
    return placed.get(placed.size() - 1).role();
  }
}
