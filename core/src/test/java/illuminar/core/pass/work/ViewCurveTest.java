package illuminar.core.pass.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * The curve through known pairs of light and tone. Pooling neighbours that fall is least squares
 * under the order (Ayer and others 1955): what it must do there follows from that.
 */
class ViewCurveTest {
  private static final int N = 4000;

  private interface Shown {
    double tone(double light, int i);
  }

  private static ViewCurve fitted(Shown shown, double lighter, double contrast) {
    Random random = new Random(9);
    float[] light = new float[N];
    float[] tone = new float[N];
    float[] share = new float[N];
    Arrays.fill(share, 1);
    for (int i = 0; i < N; i++) {
      light[i] = (float) (-4 + 6 * random.nextDouble());
      tone[i] = (float) shown.tone(light[i], i);
    }
    return ViewCurve.fitted(light, tone, share, lighter, -0.12, contrast);
  }

  private static double tone(ViewCurve curve, double stops) {
    float y = (float) Math.pow(2, stops);
    return Math.log(y * curve.gain(y)) / Math.log(2);
  }

  @Test
  void aCurveIsFoundAgain() {
    ViewCurve curve = fitted((light, i) -> -3 + 0.6 * light, 0, 1);
    for (double stops = -3.5; stops < 1.6; stops += 0.25) {
      assertThat(tone(curve, stops)).isCloseTo(-3 + 0.6 * stops, within(0.08));
    }
  }

  @Test
  void aPatchworkBecomesOneCurveBetweenItsParts() {
    ViewCurve curve = fitted((light, i) -> -3 + 0.6 * light + (i % 3 == 0 ? -1 : 0), 0, 1);
    for (double stops = -3; stops < 1.6; stops += 0.5) {
      assertThat(tone(curve, stops)).isBetween(-4.1 + 0.6 * stops, -2.9 + 0.6 * stops);
    }
  }

  /** Tone never falls with light, whatever the picture did. */
  @Test
  void tonesRiseWithLight() {
    ViewCurve curve = fitted((light, i) -> light < 0 ? -2 : -5 + 0.3 * light, 0, 1);
    double before = -30;
    for (double stops = -6; stops < 4; stops += 0.1) {
      double now = tone(curve, stops);
      assertThat(now).as("at %.1f", stops).isGreaterThanOrEqualTo(before - 1e-4);
      before = now;
    }
    assertThat(tone(curve, 1.5) - tone(curve, -3.5)).as("and not flat").isGreaterThan(1);
  }

  @Test
  void nothingReachesPaperWhite() {
    ViewCurve curve = fitted((light, i) -> Math.min(0, -1 + light), 0, 1);
    assertThat(tone(curve, 2)).isLessThan(-0.1);
    assertThat(tone(curve, 12)).isLessThan(-0.1);
    assertThat(tone(fitted((light, i) -> -3 + 0.6 * light, 3, 1), 3)).isLessThan(-0.1);
  }

  @Test
  void lighterAndContrastDoWhatTheySay() {
    ViewCurve plain = fitted((light, i) -> -5 + 0.6 * light, 0, 1);
    ViewCurve lighter = fitted((light, i) -> -5 + 0.6 * light, 0.5, 1);
    ViewCurve steeper = fitted((light, i) -> -5 + 0.6 * light, 0, 1.5);
    assertThat(tone(lighter, -1) - tone(plain, -1)).isCloseTo(0.5, within(1e-3));
    double rise = tone(plain, 1) - tone(plain, -3);
    assertThat(tone(steeper, 1) - tone(steeper, -3)).isCloseTo(1.5 * rise, within(0.05));
  }

  /** What is darker than all that was seen goes on as light falls, instead of turning grey. */
  @Test
  void darkerThanSeenGoesOnDown() {
    ViewCurve curve = fitted((light, i) -> -3 + 0.6 * light, 0, 1);
    assertThat(tone(curve, -6) - tone(curve, -8)).isCloseTo(2, within(0.01));
  }

  @Test
  void nothingSeenLeavesLightAsItIs() {
    ViewCurve curve = ViewCurve.fitted(new float[4], new float[4], new float[4], 0, -0.12, 1);
    assertThat(curve.gain(0.5f)).isCloseTo(1, within(1e-4f));
  }
}
