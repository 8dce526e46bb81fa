package illuminar.core.analysis.cast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Picture;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** Which surfaces count as white ones under a cast. Our own rules; leans of lights from memory. */
class CommonWhiteTest {
  private static final int W = 60;

  /** Upper part walls, lower part something else. */
  private static Picture room(double[] walls, double[] below, int rows) {
    Picture p = Picture.of(W, W);
    for (int i = 0; i < W * W; i++) {
      double[] c = i / W < rows ? walls : below;
      for (int k = 0; k < 3; k++) {
        p.channel(k)[i] = (float) c[k];
      }
    }
    return p;
  }

  private static CommonWhite of(Picture p) {
    float[] paint = new float[W * W];
    Arrays.fill(paint, 1);
    return CommonWhite.of(p, Lean.lab(p), new float[W * W], paint);
  }

  /** A bright floor of wood takes more of the picture than walls, and is no paint. */
  @Test
  void whatLooksLikeNoPaintHasNoVote() {
    Picture p = room(new double[] {0.42, 0.5, 0.62}, new double[] {0.7, 0.6, 0.45}, 20);
    float[] paint = new float[W * W];
    Arrays.fill(paint, 0, 20 * W, 1);
    CommonWhite white = CommonWhite.of(p, Lean.lab(p), new float[W * W], paint);
    assertThat(of(p).blue()).isCloseTo(lean(0.45, 0.6), within(0.07f));
    assertThat(white.blue()).isCloseTo(lean(0.62, 0.5), within(0.07f));
  }

  private static float lean(double a, double b) {
    return (float) (Math.log(a / b) / Math.log(2));
  }

  @Test
  void theCommonestLightSurfaceIsTheWhite() {
    double[] bluish = {0.42, 0.5, 0.62};
    CommonWhite white = of(room(bluish, new double[] {0.2, 0.11, 0.05}, 40));
    assertThat(white.red()).isCloseTo(lean(0.42, 0.5), within(0.07f));
    assertThat(white.blue()).isCloseTo(lean(0.62, 0.5), within(0.07f));
    assertThat(white.alike(lean(0.42, 0.5), lean(0.62, 0.5))).isGreaterThan(0.95f);
  }

  /** Light leans from warm to cold; what leans to green is paint, however much of it there is. */
  @Test
  void greenPaintIsNoWhite() {
    double[] sage = {0.30, 0.42, 0.30};
    double[] ceiling = {0.6, 0.58, 0.53};
    CommonWhite white = of(room(sage, ceiling, 45));
    assertThat(white.red()).isCloseTo(lean(0.6, 0.58), within(0.07f));
    assertThat(white.alike(lean(0.30, 0.42), lean(0.30, 0.42))).isLessThan(0.05f);
  }

  /** A wall near a lamp is warmer than one at the window, step by step, and still white. */
  @Test
  void mixedLightOnWhiteIsStillWhite() {
    CommonWhite white = new CommonWhite(-0.1f, 0.15f);
    assertThat(white.alike(0.05f, -0.05f)).as("a little warmer").isGreaterThan(0.9f);
    assertThat(white.alike(0.9f, -1.4f)).as("orange by itself").isLessThan(0.05f);
    float red = -0.1f;
    float blue = 0.15f;
    for (int k = 0; k < 30; k++) {
      assertThat(CommonWhite.goesOver(red, blue, red + 0.033f, blue - 0.051f)).isTrue();
      red += 0.033f;
      blue -= 0.051f;
    }
    assertThat(CommonWhite.goesOver(-0.1f, 0.15f, 0.3f, -0.5f)).as("a wooden door").isFalse();
  }

  @Test
  void whatIsDarkOrBurntTellsNothing() {
    CommonWhite white = of(room(new double[] {1, 1, 1}, new double[] {0.01, 0.02, 0.04}, 30));
    assertThat(white.red()).isZero();
    assertThat(white.blue()).isZero();
  }
}
