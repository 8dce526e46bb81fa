package illuminar.core.analysis.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Koschmieder's law over a plane: transmission exp(−β d) with d growing as 1 / (row − horizon). */
class LevelGroundTest {

  /** Share of the airlight in rows of land whose own darkest channel holds a tenth. */
  private static double[] rows(double horizon, double thickness, double noise) {
    Random chance = new Random(3);
    double[] haze = new double[24];
    for (int k = 0; k < haze.length; k++) {
      double row = 400 + 16 * k;
      double t = row > horizon ? Math.exp(-thickness / (row - horizon)) : 0;
      haze[k] = 1 - 0.9 * t + noise * chance.nextGaussian();
    }
    return haze;
  }

  @ParameterizedTest
  @CsvSource({"396, 20", "410, 35", "420, 80", "380, 50"})
  void theTransmissionOfEveryRowIsFound(double horizon, double thickness) {
    LevelGround found = LevelGround.of(rows(horizon, thickness, 0.01), 400, 16).orElseThrow();
    for (double row = horizon + 40; row < 780; row += 25) {
      double t = Math.exp(-thickness / (row - horizon));
      assertThat((double) found.through(row)).as("row %.0f", row).isCloseTo(t, within(0.08));
    }
    assertThat(found.through(found.horizon() - 1)).isZero();
  }

  /** A bar of the window hides a row. */
  @Test
  void aRowThatShowsNoLandIsPassedOver() {
    double[] haze = rows(410, 35, 0);
    haze[2] = Double.NaN;
    LevelGround found = LevelGround.of(haze, 400, 16).orElseThrow();
    assertThat((double) found.through(600)).isCloseTo(Math.exp(-35.0 / 190), within(0.05));
  }

  @Test
  void landThatIsNotLevelIsLeftToTheDarkChannel() {
    double[] wall = new double[24];
    Random chance = new Random(5);
    for (int k = 0; k < wall.length; k++) {
      wall[k] = 0.2 + 0.6 * chance.nextDouble();
    }
    assertThat(LevelGround.of(wall, 400, 16)).isEmpty();
    assertThat(LevelGround.of(new double[] {0.5, 0.4}, 400, 16)).isEmpty();
    // no haze at all: nothing thickens towards the horizon
    double[] clear = new double[24];
    java.util.Arrays.fill(clear, 0.2);
    clear[23] = 0.21;
    assertThat(LevelGround.of(clear, 400, 16).map(l -> l.through(700) > 0.99).orElse(true))
        .isTrue();
  }
}
