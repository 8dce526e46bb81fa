package illuminar.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Lab;
import illuminar.core.pass.kinds.Balance;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Bringing surfaces to a reference, beside the worked numbers of the trade. */
class SolveTest {

  /** A worked example of the trade: two parts of one facade, read as L*a*b*. */
  @Test
  void theWorkedExampleIsSolvedWithinAThird() {
    Lab reference = new Lab(73.5, 5.7, 8.5);
    Lab other = new Lab(70.5, 7, 9.5);
    Solve.Found found = Solve.toReference(List.of(other), reference);
    Lab is = Solve.after(other, found.move());
    assertThat(is.l()).isCloseTo(73.5, within(0.3));
    assertThat(is.a()).isCloseTo(5.7, within(0.3));
    assertThat(is.b()).isCloseTo(8.5, within(0.3));
    assertThat(found.left()).isLessThan(0.3);
    assertThat(found.said()).isEmpty();
    assertThat(found.move().light()).as("lighter").isBetween(0.1, 0.4);
  }

  /**
   * What a known move made is taken back by the found one: the same light, white and saturation.
   */
  @Test
  void aKnownMoveIsFoundFromSeveralColours() {
    Balance known = new Balance(0.6, 18, -9, 0.8);
    List<Lab> places = List.of(new Lab(60, 2, 4), new Lab(45, -3, 12), new Lab(70, 6, -5));
    for (Lab place : places) {
      Lab moved = Solve.after(place, known);
      assertThat(Solve.before(moved, known).difference(place)).isLessThan(1e-6);
      Solve.Found found = Solve.toReference(List.of(place), moved);
      assertThat(found.left()).isLessThan(0.2);
    }
  }

  /** Places that differ among themselves cannot all come there: it says how close. */
  @Test
  void whatCannotBeReachedIsSaidWithHowClose() {
    Lab reference = new Lab(60, 0, 0);
    Solve.Found apart = Solve.toReference(List.of(new Lab(40, 0, 0), new Lab(80, 0, 0)), reference);
    assertThat(apart.left()).isGreaterThan(5);
    assertThat(apart.said()).contains("differ among themselves");
    assertThat(apart.each()).hasSize(2);
    Solve.Found far = Solve.toReference(List.of(new Lab(4, 0, 0)), new Lab(95, 0, 0));
    assertThat(far.said()).contains("light is at the end of its scale");
  }

  @Test
  void severalNeutralPicksAreMadeNeutralTogether() {
    Balance cast = new Balance(0, 25, 8, 1);
    List<Lab> walls =
        List.of(
            Solve.after(new Lab(85, 0.5, 0), cast),
            Solve.after(new Lab(60, -0.5, 0.6), cast),
            Solve.after(new Lab(40, 0, -0.6), cast));
    Solve.Found found = Solve.neutral(walls);
    assertThat(found.left()).isLessThan(1.0);
    assertThat(found.move().light()).isZero();
    assertThat(found.move().saturation()).isEqualTo(1);
    // least squares: no single pick of the three does better for all
    for (int k = 0; k < 3; k++) {
      Balance single = Solve.neutral(walls.subList(k, k + 1)).move();
      double all = walls.stream().mapToDouble(w -> square(Solve.after(w, single))).sum();
      double ours = walls.stream().mapToDouble(w -> square(Solve.after(w, found.move()))).sum();
      assertThat(ours).isLessThanOrEqualTo(all + 1e-3);
    }
  }

  private static double square(Lab c) {
    return c.chroma() * c.chroma();
  }

  @Test
  void aColouredPickIsWarnedOf() {
    assertThat(Solve.neutral(List.of(new Lab(50, 45, 30))).said()).contains("coloured thing");
    assertThatThrownBy(() -> Solve.neutral(List.of())).hasMessageContaining("pick");
    assertThatThrownBy(() -> Solve.toReference(List.of(), new Lab(50, 0, 0)))
        .hasMessageContaining("probe");
  }

  /** Neutral means a* and b* of none; warmer and tint alone can take a cast of them fully off. */
  @Test
  void oneNeutralPickLosesItsCastAndKeepsItsLightness() {
    for (double[] cast : new double[][] {{30, 0}, {-30, 0}, {0, 20}, {0, -20}, {18, -12}}) {
      Lab pick = Solve.after(new Lab(70, 0, 0), new Balance(0, cast[0], cast[1], 1));
      Solve.Found found = Solve.neutral(List.of(pick));
      assertThat(found.left()).as("chroma left of %s", pick).isLessThan(0.05);
      assertThat(found.move().warmer())
          .as("mired count from where they start: back is not quite there")
          .isCloseTo(-cast[0], within(4.0));
      assertThat(found.said()).isEmpty();
    }
  }

  /** Two neutral picks in opposite light: what stays is the half between them, and it is said. */
  @Test
  void picksInDifferentLightAreSaid() {
    Lab warm = new Lab(70, 0, 14);
    Lab cool = new Lab(70, 0, -14);
    Solve.Found found = Solve.neutral(List.of(warm, cool));
    assertThat(found.said()).contains("different light").contains("13.9");
    assertThat(found.each()).hasSize(2);
    assertThat(found.left())
        .isCloseTo((found.each().get(0) + found.each().get(1)) / 2, within(1e-9));
  }

  @Test
  void aPickIsColouredOnlyAboveTheLimit() {
    double limit = Solve.COLOURED;
    assertThat(Solve.neutral(List.of(new Lab(50, limit - 0.01, 0))).said())
        .doesNotContain("coloured");
    assertThat(Solve.neutral(List.of(new Lab(50, limit + 0.01, 0))).said())
        .contains("chroma of 25");
  }

  /** Neither end of a scale is passed, and which control stands there is said by its name. */
  @Test
  void theEndsOfTheScalesHold() {
    Lab grey = new Lab(50, 0, 0);
    Solve.Found bright = Solve.toReference(List.of(new Lab(4, 0, 0)), new Lab(95, 0, 0));
    Solve.Found dark = Solve.toReference(List.of(new Lab(95, 0, 0)), new Lab(4, 0, 0));
    assertThat(bright.move().light()).isEqualTo(-dark.move().light()).isPositive();
    Solve.Found blue = Solve.toReference(List.of(grey), new Lab(50, 20, -110));
    assertThat(blue.said()).contains("end of its scale").startsWith("Comes within ");
    assertThat(blue.left()).isGreaterThan(1);
  }

  /** A single place that a move cannot reach, though no control stands at its end. */
  @Test
  void whatIsReachedIsNotCommentedOn() {
    Solve.Found found =
        Solve.toReference(List.of(new Lab(60, 3, 3), new Lab(60.5, 3, 3.2)), new Lab(62, 1, 2));
    assertThat(found.left()).isLessThan(1);
    assertThat(found.said()).isEmpty();
  }

  /** Controls that nothing asks for stay where they are: a grey tells nothing of saturation. */
  @Test
  void greysLeaveTheSaturationAlone() {
    Solve.Found found = Solve.toReference(List.of(new Lab(50, 0, 0)), new Lab(60, 0, 0));
    assertThat(found.move().saturation()).isCloseTo(1, within(0.01));
    assertThat(found.move().warmer()).isCloseTo(0, within(0.1));
    // a stop is a factor of two in luminance: L* 50 is Y 0.1842, L* 60 is Y 0.2812 (CIE 15)
    assertThat(found.move().light())
        .isCloseTo(Math.log(0.2812 / 0.1842) / Math.log(2), within(0.01));
  }

  /** The least squares of many colours beside a search that tries every neighbour on a grid. */
  @Test
  void noMoveNearTheFoundOneDoesBetter() {
    List<Lab> places = List.of(new Lab(52, 4, 9), new Lab(66, 3, 11), new Lab(58, 5, 10));
    Lab reference = new Lab(60, 2, 6);
    Balance best = Solve.toReference(places, reference).move();
    double is = apart(places, best, reference);
    for (int k = 0; k < 81; k++) {
      Balance near =
          new Balance(
              best.light() + (k % 3 - 1) * 0.05,
              within100(best.warmer() + (k / 3 % 3 - 1) * 2),
              within100(best.tint() + (k / 9 % 3 - 1) * 2),
              best.saturation() + (k / 27 - 1) * 0.02);
      assertThat(apart(places, near, reference)).isGreaterThan(is - 0.02);
    }
  }

  private static double within100(double value) {
    return Math.max(-100, Math.min(100, value));
  }

  private static double apart(List<Lab> places, Balance move, Lab reference) {
    double sum = 0;
    for (Lab place : places) {
      Lab is = Solve.after(place, move);
      sum +=
          Math.pow(is.l() - reference.l(), 2)
              + Math.pow(is.a() - reference.a(), 2)
              + Math.pow(is.b() - reference.b(), 2);
    }
    return sum;
  }
}
