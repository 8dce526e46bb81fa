package illuminar.core.region.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.region.Look;
import illuminar.core.region.part.ToneBand.Tones;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tone bands: repeated products, what narrower ones leave, free curves. */
class ToneBandTest {
  /** Lights n is the luminance multiplied by itself n − 1 times (common practice, CRAFT). */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 6, 8})
  void wholeExponentsAreRepeatedProducts(int n) {
    float[] lights = Drawn.draw(Drawn.band(Tones.LIGHTS, n, 0));
    float[] darks = Drawn.draw(Drawn.band(Tones.DARKS, n, 0));
    Picture p = Drawn.ground();
    for (int i = 0; i < lights.length; i += 7) {
      double v = Srgb.encode(Math.min(1, p.luminanceAt(i)));
      double light = 1;
      double dark = 1;
      for (int k = 0; k < n; k++) {
        light *= v;
        dark *= 1 - v;
      }
      assertThat(lights[i]).isCloseTo((float) light, within(3e-5f));
      assertThat(darks[i]).isCloseTo((float) dark, within(3e-5f));
    }
  }

  @Test
  void exponentsBetweenLieBetween() {
    for (double v = 0.05; v < 1; v += 0.05) {
      double wide = ToneBand.share(Drawn.band(Tones.LIGHTS, 3, 0), v);
      double mid = ToneBand.share(Drawn.band(Tones.LIGHTS, 3.5, 0), v);
      double narrow = ToneBand.share(Drawn.band(Tones.LIGHTS, 4, 0), v);
      assertThat(mid).isCloseTo(Math.sqrt(wide * narrow), within(1e-9));
    }
    assertThat(ToneBand.share(Drawn.band(Tones.MIDTONES, 2, 0), 0.5)).isCloseTo(1, within(1e-9));
    assertThat(ToneBand.share(Drawn.band(Tones.MIDTONES, 2, 0), 0)).isZero();
    assertThat(ToneBand.share(Drawn.band(Tones.MIDTONES, 2, 0), 1)).isZero();
  }

  /**
   * The slope of the tone curve when darks are lifted by two stops. Darks 6 taken from darks 4
   * keeps it, plain darks 4 makes mud (common practice, CRAFT; the bound 0.8 is our goal).
   */
  @Test
  void narrowDarksTakenAwayKeepTheDeepestTones() {
    assertThat(leastSlope(Drawn.band(Tones.DARKS, 4, 6))).isGreaterThanOrEqualTo(0.8);
    assertThat(leastSlope(Drawn.band(Tones.DARKS, 4, 0))).isLessThan(0.8);
  }

  private static double leastSlope(ToneBand band) {
    double least = 9;
    for (double t = -10; t < -4; t += 0.05) {
      double from = t + 2 * ToneBand.share(band, Srgb.encode(Math.pow(2, t)));
      double to = t + 0.05 + 2 * ToneBand.share(band, Srgb.encode(Math.pow(2, t + 0.05)));
      least = Math.min(least, (to - from) / 0.05);
    }
    return least;
  }

  /** Monotone cubics keep between their points (Fritsch and Carlson 1980). */
  @Test
  void aFreeCurveRunsThroughItsPointsWithoutOvershoot() {
    List<Point> points =
        List.of(new Point(0, 0), new Point(0.3, 0), new Point(0.5, 1), new Point(1, 0.4));
    ToneBand curve = new ToneBand(Look.GROUND, Tones.CURVE, 1, 0, points, 0, 1);
    for (Point p : points) {
      assertThat(ToneBand.share(curve, p.x())).isCloseTo(p.y(), within(1e-9));
    }
    for (double v = 0; v <= 0.3; v += 0.01) {
      assertThat(ToneBand.share(curve, v)).isZero();
    }
    for (double v = 0.31; v < 0.5; v += 0.01) {
      assertThat(ToneBand.share(curve, v)).isGreaterThan(ToneBand.share(curve, v - 0.01));
    }
    ToneBand cut = new ToneBand(Look.GROUND, Tones.LIGHTS, 1, 0, List.of(), 0.2, 0.6);
    assertThat(ToneBand.share(cut, 0.2)).isZero();
    assertThat(ToneBand.share(cut, 0.4)).isCloseTo(0.5, within(1e-9));
    assertThat(ToneBand.share(cut, 0.6)).isEqualTo(1);
  }
}
