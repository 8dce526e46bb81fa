package illuminar.core.first;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.pass.Channels;
import illuminar.core.pass.kinds.ToneCurve;
import org.junit.jupiter.api.Test;

/** White walls to where paint looks white, by one curve. Common practice, no source. */
class WhiteCurveTest {
  private static final double[][] ROOMS = {{-2.4, 0}, {-1.5, -0.2}, {-0.8, 0.2}, {-2.1, -0.4}};

  @Test
  void whiteWallsComeToWhite() {
    for (double[] room : ROOMS) {
      double exposure = WhiteCurve.exposure(room[0], -0.4, room[1]);
      ToneCurve curve = WhiteCurve.of(Channels.LIGHTNESS, exposure, room[1]);
      assertThat(curve.at(room[0])).as("from %.1f", room[0]).isCloseTo(-0.4, within(0.1));
    }
  }

  @Test
  void tonesRiseAndTheLightestStayBelowWhite() {
    for (double[] room : ROOMS) {
      ToneCurve curve =
          WhiteCurve.of(Channels.LIGHTNESS, WhiteCurve.exposure(room[0], -0.4, room[1]), room[1]);
      double before = -20;
      for (double x = -8; x <= room[1]; x += 0.05) {
        assertThat(curve.at(x)).isGreaterThan(before);
        before = curve.at(x);
      }
      assertThat(curve.at(room[1])).isLessThanOrEqualTo(0.02);
    }
  }

  /** L* 12 is 6.1 stops below white: 3 log2(28 / 116). Source: CIE 1976 L*. */
  @Test
  void theDeepestTonesStay() {
    ToneCurve curve = WhiteCurve.of(Channels.LIGHTNESS, 1.4, 0);
    assertThat(curve.at(-6.1)).isCloseTo(-6.1, within(0.02));
    assertThat(curve.at(-9)).isCloseTo(-9, within(0.02));
    assertThat(curve.at(-3.4) + 3.4).as("middle tones are exposed").isCloseTo(1.4, within(0.05));
  }

  @Test
  void aRoomThatIsWhiteAlreadyIsHardlyMoved() {
    assertThat(WhiteCurve.exposure(-0.4, -0.4, -0.1)).isCloseTo(0, within(0.05));
    assertThat(WhiteCurve.exposure(-0.2, -0.4, -0.1)).as("too light").isNegative();
  }
}
