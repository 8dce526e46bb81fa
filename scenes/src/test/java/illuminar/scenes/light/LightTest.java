package illuminar.scenes.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.scenes.geometry.Vec;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Illuminance that sources give, beside the closed forms of photometry. */
class LightTest {
  private static final float[] WHITE = {1, 1, 1};
  private static final int SAMPLES = 200_000;

  /** Mean illuminance at the origin of a surface that faces up. */
  private static double illuminance(Light light) {
    SplittableRandom random = new SplittableRandom(5);
    Light.Sample s = new Light.Sample();
    double sum = 0;
    for (int i = 0; i < SAMPLES; i++) {
      light.sample(0, 0, 0, random, s);
      if (s.far > 0 && s.dy > 0) {
        sum += s.g * s.dy;
      }
    }
    return sum / SAMPLES;
  }

  /** E = π L r² / (r² + d²) under the middle of a disc. Source: Lambert's formula for a disc. */
  @Test
  void aDiscOverheadGivesLambertsIlluminance() {
    for (double[] c : new double[][] {{0.5, 2}, {1, 1}, {0.2, 3}}) {
      Light disc = new Disc(0, Vec.of(0, c[1], 0), Vec.of(0, -1, 0), (float) c[0], WHITE, 1);
      double expected = Math.PI * c[0] * c[0] / (c[0] * c[0] + c[1] * c[1]);
      assertThat(illuminance(disc) / expected).isCloseTo(1, within(0.01));
    }
  }

  /**
   * E = L/2 · Σ over the two pairs of sides for a point under a corner of a rectangle. Source: the
   * configuration factor of a parallel rectangle, Howell's catalogue, B-3.
   */
  @Test
  void aPanelWithItsCornerOverheadGivesItsConfigurationFactor() {
    for (double[] c : new double[][] {{1, 2, 1.5}, {0.7, 0.4, 1}, {3, 3, 1}}) {
      Light panel =
          Panel.lit(0, Vec.of(0, c[2], 0), Vec.of(c[0], 0, 0), Vec.of(0, 0, c[1]), WHITE, 1);
      double x = c[0] / c[2];
      double y = c[1] / c[2];
      double factor =
          (x / Math.sqrt(1 + x * x) * Math.atan(y / Math.sqrt(1 + x * x))
                  + y / Math.sqrt(1 + y * y) * Math.atan(x / Math.sqrt(1 + y * y)))
              / (2 * Math.PI);
      assertThat(illuminance(panel) / (Math.PI * factor)).isCloseTo(1, within(0.01));
    }
  }

  /** A panel shines to one side only. */
  @Test
  void behindAPanelIsDark() {
    Light away = Panel.lit(0, Vec.of(0, 1, 0), Vec.of(0, 0, 1), Vec.of(1, 0, 0), WHITE, 1);
    assertThat(illuminance(away)).isZero();
  }

  /** E = E₀ cos θ from the sun, whatever the distance. Source: Lambert's cosine law. */
  @Test
  void theSunFollowsTheCosine() {
    for (double degrees : new double[] {0, 30, 60, 85}) {
      double a = Math.toRadians(degrees);
      Light sun = new Sun(0, Vec.of(Math.sin(a), Math.cos(a), 0), WHITE, 2);
      assertThat(illuminance(sun)).isCloseTo(2 * Math.PI * Math.cos(a), within(0.01));
    }
  }

  /** E = I / d² under a small ball. Source: the inverse square law. */
  @Test
  void aBulbFollowsTheInverseSquare() {
    for (double d : new double[] {0.5, 1, 4}) {
      Light bulb = new Bulb(0, Vec.of(0, d, 0), 0.01f, WHITE, 3);
      assertThat(illuminance(bulb) * d * d / 3).isCloseTo(1, within(0.01));
    }
  }
}
