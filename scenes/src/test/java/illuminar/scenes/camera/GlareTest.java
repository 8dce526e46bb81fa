package illuminar.scenes.camera;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Light that the lens spreads: taken from everywhere, lost nowhere. Conservation of energy. */
class GlareTest {
  private static final int W = 96;
  private static final int H = 64;

  private static float[][] lamp() {
    float[] plane = new float[W * H];
    for (int y = 30; y < 34; y++) {
      for (int x = 20; x < 24; x++) {
        plane[y * W + x] = 1000;
      }
    }
    return new float[][] {plane};
  }

  private static double sum(float[] plane) {
    double sum = 0;
    for (float v : plane) {
      sum += v;
    }
    return sum;
  }

  @Test
  void noLightIsLost() {
    float[][] lamp = lamp();
    assertThat(sum(Glare.over(lamp, W, H, 0.01)[0])).isCloseTo(16_000, within(160.0));
    assertThat(lamp[0]).as("the picture itself stays").isEqualTo(lamp()[0]);
  }

  @Test
  void darkPlacesNearALampAreLiftedMoreThanFarOnes() {
    float[] out = Glare.over(lamp(), W, H, 0.01)[0];
    float near = out[32 * W + 30];
    float far = out[32 * W + 90];
    assertThat(near).isGreaterThan(2 * far);
    assertThat(far).isPositive();
    assertThat(out[32 * W + 22]).isCloseTo(990, within(5f));
  }

  @Test
  void aCleanLensChangesNothing() {
    assertThat(Glare.over(lamp(), W, H, 0)[0]).isEqualTo(lamp()[0]);
  }
}
