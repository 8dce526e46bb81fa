package illuminar.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * White along the locus and across it. Sources: reciprocal megakelvin (Priest 1933), u′v′ (CIE
 * 15:2004), linear Bradford adaptation (ICC.1, annex E).
 */
class WhiteShiftTest {
  /** CIE 15:2004, table T.3. */
  private static final double[] D50 = {0.34567, 0.35850};

  private static final double D65_MIRED = 1e6 / 6504;

  private static double[] uv(double[] xyz) {
    double d = xyz[0] + 15 * xyz[1] + 3 * xyz[2];
    return new double[] {4 * xyz[0] / d, 9 * xyz[1] / d};
  }

  /** A grey under a light of some chromaticity, linear sRGB. */
  private static double[] greyUnder(double x, double y) {
    return Space.SRGB_TO_XYZ.inverse().apply(x / y, 1, (1 - x - y) / y);
  }

  @Test
  void noShiftIsNoChange() {
    double[] c = WhiteShift.srgb(0, 0).apply(0.2, 0.5, 0.8);
    assertThat(c).containsExactly(new double[] {0.2, 0.5, 0.8}, within(1e-12));
  }

  /** A picture taken by lamp light comes out neutral when made cooler by what lies between. */
  @ParameterizedTest
  @ValueSource(doubles = {4000, 5000, 8000, 10_000})
  void lightOfTheLocusComesOutNeutral(double kelvin) {
    double[] xy = Locus.planck(kelvin);
    double[] d65 = Locus.planck(6504);
    // the locus passes beside D65; the shift is measured from the locus
    double[] seen = greyUnder(xy[0], xy[1]);
    double[] plain = greyUnder(d65[0], d65[1]);
    double[] out = WhiteShift.srgb(D65_MIRED - 1e6 / kelvin, 0).apply(seen[0], seen[1], seen[2]);
    double off = Math.abs(out[0] / out[1] - plain[0] / plain[1]);
    assertThat(off).as("red to green").isLessThan(0.02);
    assertThat(Math.abs(out[2] / out[1] - plain[2] / plain[1])).isLessThan(0.02);
  }

  /** Daylight lies beside the locus all along, so D50 comes out neutral at its own temperature. */
  @Test
  void daylightD50IsNeutralAtItsOwnTemperature() {
    double[] seen = greyUnder(D50[0], D50[1]);
    double[] out = WhiteShift.srgb(D65_MIRED - 1e6 / 5003, 0).apply(seen[0], seen[1], seen[2]);
    assertThat(out[0] / out[1]).isCloseTo(1, within(0.02));
    assertThat(out[2] / out[1]).isCloseTo(1, within(0.02));
  }

  @ParameterizedTest
  @CsvSource({"30, 0", "-60, 0", "100, 20", "-100, -40", "0, 80"})
  void warmerIsRedderAndTintIsMoreMagenta(double mired, double tint) {
    double[] white = WhiteShift.srgb(mired, tint).apply(1, 1, 1);
    double[] alone = WhiteShift.srgb(mired, 0).apply(1, 1, 1);
    if (mired != 0) {
      assertThat(Math.signum(alone[0] - alone[2])).isEqualTo(Math.signum(mired));
    }
    if (tint != 0) {
      double green = white[1] / ((white[0] + white[2]) / 2);
      double before = alone[1] / ((alone[0] + alone[2]) / 2);
      assertThat(Math.signum(before - green)).isEqualTo(Math.signum(tint));
    }
  }

  /** White keeps its luminance: the adaptation takes a white of Y = 1 to one of Y = 1. */
  @ParameterizedTest
  @CsvSource({"80, 0", "-80, 30", "10, -60"})
  void theWhiteThatIsAdaptedKeepsItsLuminance(double mired, double tint) {
    Matrix3 shift = WhiteShift.srgb(mired, tint);
    double[] from = shift.inverse().apply(1, 1, 1);
    double[] xyz = Space.SRGB_TO_XYZ.apply(from[0], from[1], from[2]);
    assertThat(xyz[1]).isCloseTo(1, within(1e-6));
    // and it lies where the locus and the tint say, measured from D65
    double[] uv = uv(xyz);
    double[] d65 = uv(Space.SRGB_TO_XYZ.apply(1, 1, 1));
    double[] shifted = Locus.planck(1e6 / (D65_MIRED - mired));
    double[] neutral = Locus.planck(6504);
    double[] a = uv(new double[] {shifted[0], shifted[1], 1 - shifted[0] - shifted[1]});
    double[] b = uv(new double[] {neutral[0], neutral[1], 1 - neutral[0] - neutral[1]});
    assertThat(uv[0] - d65[0]).isCloseTo(a[0] - b[0], within(1e-4));
    assertThat(uv[1] - d65[1]).isCloseTo(a[1] - b[1] + tint / 100 * 0.03, within(1e-4));
  }

  @Test
  void bothPrimariesAgree() {
    double[] c = WhiteShift.srgb(40, -10).apply(0.3, 0.4, 0.1);
    double[] wide = Space.SRGB_TO_WORK.apply(0.3, 0.4, 0.1);
    double[] a = Space.SRGB_TO_WORK.apply(c[0], c[1], c[2]);
    double[] b = WhiteShift.work(40, -10).apply(wide[0], wide[1], wide[2]);
    assertThat(a).containsExactly(b, within(1e-9));
  }
}
