package illuminar.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Blend formulas beside those of W3C Compositing and Blending Level 1, sections 10.1 and 10.2,
 * written down here once more as the text has them.
 */
class BlendTest {

  @ParameterizedTest
  @CsvSource({
    "MULTIPLY, 0.5, 0.4, 0.2",
    "SCREEN, 0.5, 0.4, 0.7",
    "DARKEN, 0.5, 0.4, 0.4",
    "LIGHTEN, 0.5, 0.4, 0.5",
    "NORMAL, 0.5, 0.4, 0.4",
    // soft light: below one half, then above it over and under a backdrop of a quarter
    "SOFT_LIGHT, 0.5, 0.4, 0.45",
    "SOFT_LIGHT, 0.64, 0.75, 0.72",
    "SOFT_LIGHT, 0.2, 0.75, 0.324",
    "SOFT_LIGHT, 0.25, 1, 0.5",
    "SOFT_LIGHT, 0.3, 0.5, 0.3"
  })
  void separableFormulas(Blend blend, float backdrop, float source, float result) {
    float[] b = {backdrop, backdrop, backdrop};
    blend.over(b, new float[] {source, source, source});
    for (float c : b) {
      assertThat(c).isCloseTo(result, within(1e-5f));
    }
  }

  /** Luminosity is SetLum(backdrop, Lum(source)), colour SetLum(source, Lum(backdrop)). */
  @Test
  void luminosityAndColourByTheTextOfTheStandard() {
    Random random = new Random(11);
    for (int n = 0; n < 500; n++) {
      float[] b = {random.nextFloat(), random.nextFloat(), random.nextFloat()};
      float[] s = {random.nextFloat(), random.nextFloat(), random.nextFloat()};
      float[] luminosity = b.clone();
      Blend.LUMINOSITY.over(luminosity, s);
      near(luminosity, setLum(b, lum(s)));
      float[] colour = b.clone();
      Blend.COLOUR.over(colour, s);
      near(colour, setLum(s, lum(b)));
    }
  }

  private static void near(float[] is, double[] should) {
    for (int c = 0; c < 3; c++) {
      assertThat((double) is[c]).isCloseTo(should[c], within(2e-5));
    }
  }

  private static double lum(float[] c) {
    return 0.3 * c[0] + 0.59 * c[1] + 0.11 * c[2];
  }

  private static double[] setLum(float[] c, double l) {
    double d = l - lum(c);
    return clipColor(new double[] {c[0] + d, c[1] + d, c[2] + d});
  }

  private static double[] clipColor(double[] c) {
    double l = 0.3 * c[0] + 0.59 * c[1] + 0.11 * c[2];
    double n = Arrays.stream(c).min().orElseThrow();
    double x = Arrays.stream(c).max().orElseThrow();
    double[] out = c.clone();
    if (n < 0) {
      for (int k = 0; k < 3; k++) {
        out[k] = l + (out[k] - l) * l / (l - n);
      }
    }
    if (x > 1) {
      for (int k = 0; k < 3; k++) {
        out[k] = l + (out[k] - l) * (1 - l) / (x - l);
      }
    }
    return out;
  }

  /** Codes within 0 and 1 stay there. */
  @ParameterizedTest
  @EnumSource(Blend.class)
  void nothingLeavesTheRange(Blend blend) {
    Random random = new Random(5);
    for (int n = 0; n < 300; n++) {
      float[] b = {random.nextFloat(), random.nextFloat(), random.nextFloat()};
      float[] s = {random.nextFloat(), random.nextFloat(), random.nextFloat()};
      float[] source = s.clone();
      blend.over(b, s);
      assertThat(s).as("the source").isEqualTo(source);
      for (float c : b) {
        assertThat(c).isBetween(-1e-5f, 1 + 1e-5f);
      }
    }
  }
}
