package illuminar.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.colour.Srgb;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.FloatRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class CurveTest {
  private static final Response SRGB = Response.srgb();
  private static final Response CAMERA = TestRoom.response();

  /** A table's steps lie so close that a square root is read to a millionth. */
  @Property
  void aCurveIsReadAsItIs(@ForAll @IntRange(min = 0, max = 100_000) int part) {
    float x = part / 100_000f * part / 100_000f;
    Curve root = Curve.of(Math::sqrt);
    float slack = x < 0x1p-14f ? 0.008f : 2e-6f;
    assertThat(root.at(x)).isCloseTo((float) Math.sqrt(x), within(slack));
  }

  @Test
  void endsAreExact() {
    Curve line = Curve.of(x -> 0.25 + x / 2);
    assertThat(line.at(0)).isEqualTo(0.25f);
    assertThat(line.at(1)).isEqualTo(0.75f);
    assertThat(line.at(7)).isEqualTo(0.75f);
    assertThat(line.at(-0.5f)).as("turned round").isEqualTo(0);
    assertThat(line.at(-3)).isEqualTo(-0.25f);
    assertThat(line.at(Float.NaN)).isEqualTo(0.25f);
  }

  /** With the sRGB curve as response, display-linear values are light. Source: IEC 61966-2-1. */
  @Property
  void srgbResponseChangesNothing(@ForAll @IntRange(min = 1, max = 1000) int thousandth) {
    float v = thousandth / 1000f;
    assertThat(SRGB.toLight(1, v)).isCloseTo(v, within(0.0005f + 0.003f * v));
    assertThat(SRGB.toDisplay(1, v)).isCloseTo(v, within(0.0005f + 0.003f * v));
  }

  @Property
  void lightAndDisplayAreInverse(@ForAll @IntRange(min = 2, max = 990) int thousandth) {
    float v = thousandth / 1000f;
    assertThat(CAMERA.toDisplay(0, CAMERA.toLight(0, v))).isCloseTo(v, within(0.002f));
  }

  /** The test camera is display = light^0.8, so a stop more of light is 2^0.8 of display. */
  @Property
  void exposingAnewFollowsTheCamera(
      @ForAll @FloatRange(min = 0.01f, max = 0.3f) float v,
      @ForAll @FloatRange(min = 0.5f, max = 2f) float gain) {
    float expected = (float) Math.min(1, v * Math.pow(gain, 0.8));
    assertThat(CAMERA.exposed(1, gain).at(v)).isCloseTo(expected, within(0.004f));
  }

  @Test
  void exposingByOneChangesNothing() {
    Curve same = CAMERA.exposed(2, 1);
    for (int code = 3; code < 255; code++) {
      float v = (float) Srgb.decode(code / 255.0);
      assertThat(same.at(v)).isCloseTo(v, within(0.002f));
    }
  }

  @Test
  void responsesRise() {
    for (int c = 0; c < 3; c++) {
      float last = -1;
      for (int i = 0; i <= 500; i++) {
        float light = CAMERA.toLight(c, i / 500f);
        assertThat(light).isGreaterThanOrEqualTo(last);
        last = light;
      }
    }
  }
}
