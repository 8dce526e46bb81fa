package illuminar.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.FloatRange;
import org.junit.jupiter.api.Test;

class ColourTest {

  /**
   * Source: IEC 61966-2-1:1999, the two branches and their meeting point; 18 % grey from memory.
   */
  @Test
  void srgbTransferMeetsItsPublishedPoints() {
    assertThat(Srgb.encode(0.0031308)).isCloseTo(0.04045, within(1e-5));
    assertThat(Srgb.decode(0.04045)).isCloseTo(0.0031308, within(1e-6));
    assertThat(Srgb.encode(1)).isCloseTo(1, within(1e-12));
    assertThat(Srgb.decode(0.5)).isCloseTo(0.21404, within(1e-5));
    assertThat(Srgb.encode(0.18)).isCloseTo(0.46136, within(1e-5));
  }

  @Property
  void tablesStayNearTheFormula(@ForAll @FloatRange(min = 0, max = 1) float v) {
    assertThat((double) Srgb.encodeFast(v)).isCloseTo(Srgb.encode(v), within(1.2e-4));
    assertThat((double) Srgb.decodeFast(v)).isCloseTo(Srgb.decode(v), within(2e-6));
  }

  /** Source: ITU-R BT.2020-2, table 4: Y = 0.2627 R + 0.6780 G + 0.0593 B. */
  @Test
  void luminanceWeightsAreThoseOfBt2020() {
    assertThat(Space.LUMA_R).isCloseTo(0.2627f, within(5e-5f));
    assertThat(Space.LUMA_G).isCloseTo(0.6780f, within(5e-5f));
    assertThat(Space.LUMA_B).isCloseTo(0.0593f, within(5e-5f));
  }

  /** Source: IEC 61966-2-1, the rounded matrix of the standard. */
  @Test
  void srgbMatrixIsThatOfTheStandard() {
    Matrix3 m = Space.SRGB_TO_XYZ;
    double[] ours = {m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), m.g(), m.h(), m.i()};
    double[] published = {0.4124, 0.3576, 0.1805, 0.2126, 0.7152, 0.0722, 0.0193, 0.1192, 0.9505};
    for (int i = 0; i < 9; i++) {
      assertThat(ours[i]).isCloseTo(published[i], within(2e-4));
    }
  }

  /** Source: ITU-R BT.2087-0, conversion of linear BT.709 to linear BT.2020. */
  @Test
  void wayIntoTheWorkingSpaceIsThatOfBt2087() {
    Matrix3 m = Space.SRGB_TO_WORK;
    double[] ours = {m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), m.g(), m.h(), m.i()};
    double[] published = {0.6274, 0.3293, 0.0433, 0.0691, 0.9195, 0.0114, 0.0164, 0.0880, 0.8956};
    for (int i = 0; i < 9; i++) {
      assertThat(ours[i]).isCloseTo(published[i], within(1e-4));
    }
  }

  /**
   * L*a*b* of the sRGB primaries under D50, Bradford. Source: from memory of ICC-based converters.
   */
  @Test
  void labOfKnownStimuli() {
    check(Lab.ofSrgb(1, 1, 1), 100, 0, 0);
    check(Lab.ofSrgb(0, 0, 0), 0, 0, 0);
    check(Lab.ofSrgb(1, 0, 0), 54.29, 80.81, 69.89);
    check(Lab.ofSrgb(0, 1, 0), 87.82, -79.29, 80.99);
    check(Lab.ofSrgb(0, 0, 1), 29.57, 68.30, -112.03);
  }

  private static void check(Lab lab, double l, double a, double b) {
    assertThat(lab.l()).isCloseTo(l, within(0.03));
    assertThat(lab.a()).isCloseTo(a, within(0.06));
    assertThat(lab.b()).isCloseTo(b, within(0.06));
  }

  /** L* of 18.4 % is 50. Source: CIE 15, the definition of L*. */
  @Test
  void midGreyIsLightnessFifty() {
    assertThat(Lab.ofXyz(0.184187 * 0.96422, 0.184187, 0.184187 * 0.82521).l())
        .isCloseTo(50, within(0.001));
  }

  /** Source: CIE 15:2004, chromaticities of illuminants A, D50, D55, D65, D75. */
  @Test
  void lociPassThroughTheStandardIlluminants() {
    near(Locus.planck(2856), 0.44758, 0.40745, 0.002);
    near(Locus.daylight(5003), 0.34567, 0.35851, 0.0005);
    near(Locus.daylight(5503), 0.33243, 0.34744, 0.0005);
    near(Locus.daylight(6504), 0.31272, 0.32903, 0.0005);
    near(Locus.daylight(7504), 0.29903, 0.31488, 0.0005);
  }

  private static void near(double[] xy, double x, double y, double slack) {
    assertThat(xy[0]).isCloseTo(x, within(slack));
    assertThat(xy[1]).isCloseTo(y, within(slack));
  }

  @Property
  void stopsAndLightAreInverse(@ForAll @FloatRange(min = -15, max = 10) float stops) {
    assertThat(Stops.of(Stops.light(stops))).isCloseTo(stops, within(2e-4f));
    assertThat((double) Stops.light(stops))
        .isCloseTo(Math.pow(2, stops), within(Math.pow(2, stops) * 2e-5));
  }

  @Test
  void nothingButBlackComesOfNoLight() {
    assertThat(Stops.of(0)).isEqualTo(Stops.BLACK);
    assertThat(Stops.of(Float.NaN)).isEqualTo(Stops.BLACK);
    assertThat(Stops.of(-1)).isEqualTo(Stops.BLACK);
  }

  @Test
  void adaptationTakesWhiteToWhite() {
    double[] white = Space.WORK_TO_XYZ_D50.apply(1, 1, 1);
    assertThat(white[0]).isCloseTo(Space.D50_X, within(1e-9));
    assertThat(white[1]).isCloseTo(1, within(1e-9));
    assertThat(white[2]).isCloseTo(Space.D50_Z, within(1e-9));
  }
}
