package illuminar.core.noise;

import static illuminar.core.noise.Noisy.clean;
import static illuminar.core.noise.Noisy.noisy;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Noise as it is measured and made steady, on pictures whose noise is known. */
class NoiseTest {
  private static final int W = 640;
  private static final int H = 480;
  private static final Raster WHOLE = Raster.whole(W, H, 1);

  /** Every light from dark to white, slowly. */
  private static double ramp(int x, int y) {
    return 0.002 + 0.9 * Math.pow(x / (double) W, 2) * (0.9 + 0.1 * y / H);
  }

  /** The same with a weave over half of it. */
  private static double woven(int x, int y, int c) {
    return ramp(x, y) * (y < H / 2 && (x / 2 + y / 2) % 2 == 0 ? 0.8 : 1);
  }

  private static Noise measured(Picture p) {
    return NoiseMeter.of(r -> p.cut(WHOLE, r), W, H);
  }

  private static Noise known() {
    float[] deviation = new float[3 * Noise.KNOTS];
    for (int k = 0; k < deviation.length; k++) {
      deviation[k] = (float) Noisy.deviation(Noise.light(k % Noise.KNOTS));
    }
    float[] white = new float[3 * Cosines.VALUES];
    Arrays.fill(white, 1);
    return new Noise(deviation, white);
  }

  /** Poisson-Gaussian model: Foi, Trimeche, Katkovnik, Egiazarian 2008. */
  @ParameterizedTest
  @ValueSource(booleans = {false, true})
  void theNoiseOfASensorIsFound(boolean texture) {
    Noise noise = measured(noisy(W, H, texture ? NoiseTest::woven : (x, y, c) -> ramp(x, y), 5));
    for (double light : new double[] {0.01, 0.05, 0.2, 0.5}) {
      for (int c = 0; c < 3; c++) {
        assertThat(noise.at(c, light) / Noisy.deviation(light))
            .as("channel %d at %.2f", c, light)
            .isCloseTo(1, within(0.2));
      }
    }
    for (int k = 1; k < Cosines.VALUES; k++) {
      assertThat(noise.spectrum()[k]).as("white, %d", k).isCloseTo(1, within(0.3f));
    }
  }

  /** A mean of n × n pixels has an n-th of the deviation of white noise. */
  @Test
  void smallerPicturesHoldLessNoise() {
    Noise white = known();
    for (float v : white.spectrum(0, 0.25)) {
      assertThat(v).isCloseTo(0.25f, within(1e-6f));
    }
  }

  /** No more than a third of the rounding to codes of 255 (IEC 61966-2-1). */
  @Test
  void whereThereIsNoNoiseNoneIsFound() {
    Noise noise = measured(clean(W, H, NoiseTest::woven));
    double code = Srgb.encode(0.2);
    assertThat(noise.at(1, 0.2)).isLessThan((Srgb.decode(code + 1 / 255.0) - 0.2) / 3);
  }

  @Test
  void steadyNoiseIsTheSameAtEveryLightAndLeadsBack() {
    Steady steady = new Steady(known());
    for (double light : new double[] {0.01, 0.1, 0.8}) {
      Picture p = noisy(200, 200, (x, y, c) -> light, 9);
      Picture there = p.copy();
      steady.forth(there);
      for (int c = 0; c < 3; c++) {
        assertThat(deviation(there.channel(c))).as("plane %d", c).isCloseTo(1, within(0.03));
      }
      steady.back(there);
      assertThat(Noisy.apart(there, p)).isLessThan(1e-5);
    }
  }

  @Test
  void lightBeyondTheTableLeadsBackToo() {
    Steady steady = new Steady(known());
    Picture p = clean(9, 9, (x, y, c) -> x * 0.5 - 0.1);
    Picture there = p.copy();
    steady.forth(there);
    steady.back(there);
    assertThat(Noisy.apart(there, p)).isLessThan(1e-4);
  }

  private static double deviation(float[] v) {
    double sum = 0;
    double squares = 0;
    for (float x : v) {
      sum += x;
      squares += x * x;
    }
    double mean = sum / v.length;
    return Math.sqrt(squares / v.length - mean * mean);
  }
}
