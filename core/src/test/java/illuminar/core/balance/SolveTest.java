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
}
