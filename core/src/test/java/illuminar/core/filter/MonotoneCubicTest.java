package illuminar.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The curve through points, by what its authors prove of it. */
class MonotoneCubicTest {

  /** The data with which Fritsch and Carlson 1980 show how other splines overshoot (RPN 14). */
  private static final double[] X = {7.99, 8.09, 8.19, 8.7, 9.2, 10, 12, 15, 20};

  private static final double[] Y = {
    0, 2.76429e-5, 4.37498e-2, 0.169183, 0.469428, 0.943740, 0.998636, 0.999919, 0.999994
  };

  @Test
  void goesThroughItsPointsAndRisesBetweenThemWithoutOvershoot() {
    MonotoneCubic curve = new MonotoneCubic(X, Y);
    for (int i = 0; i < X.length; i++) {
      assertThat(curve.at(X[i])).isCloseTo(Y[i], within(1e-12));
    }
    double before = -1;
    for (double x = 7.99; x <= 20; x += 0.001) {
      double y = curve.at(x);
      assertThat(y).isBetween(0.0, 0.999994).isGreaterThanOrEqualTo(before - 1e-12);
      before = y;
    }
  }

  /** Fritsch and Butland 1984: the curve lies between the two values at either end of a piece. */
  @Test
  void neverLeavesTheSpanOfItsTwoNeighbours() {
    Random random = new Random(5);
    for (int round = 0; round < 200; round++) {
      double[] x = random.doubles(8).sorted().toArray();
      double[] y = random.doubles(8, -3, 3).toArray();
      MonotoneCubic curve = new MonotoneCubic(x, y);
      for (int k = 0; k < 7; k++) {
        for (int i = 0; i <= 20; i++) {
          double at = curve.at(x[k] + (x[k + 1] - x[k]) * i / 20.0);
          assertThat(at)
              .isBetween(Math.min(y[k], y[k + 1]) - 1e-9, Math.max(y[k], y[k + 1]) + 1e-9);
        }
      }
    }
  }

  @Test
  void aStraightLineStaysStraightAndEndsStay() {
    double[] x = {-8, -5, -1, 0};
    MonotoneCubic line = new MonotoneCubic(x, Arrays.stream(x).map(v -> 2 * v + 1).toArray());
    for (double v = -8; v <= 0; v += 0.13) {
      assertThat(line.at(v)).isCloseTo(2 * v + 1, within(1e-12));
    }
    assertThat(line.at(-20)).isEqualTo(-15);
    assertThat(line.at(4)).isEqualTo(1);
  }

  @Test
  void tooFewPointsAreRefused() {
    assertThatThrownBy(() -> new MonotoneCubic(new double[] {1}, new double[] {1}))
        .hasMessageContaining("two points");
  }
}
