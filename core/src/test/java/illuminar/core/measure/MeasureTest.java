package illuminar.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.WorkingSpace;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MeasureTest {

  private static Picture flat(float v) {
    Picture p = Picture.of(40, 30);
    Arrays.fill(p.r(), v);
    Arrays.fill(p.g(), v);
    Arrays.fill(p.b(), v);
    return p;
  }

  /** L* 50 is 18.4 % of white, which is 2.44 stops below it. Source: CIE 15, definition of L*. */
  @Test
  void readsMidGrey() {
    Reading r = Reading.at(flat(0.184187f), 20, 15, 5);
    assertThat(r.lab().l()).isCloseTo(50, within(0.01));
    assertThat(r.lab().chroma()).isLessThan(0.01);
    assertThat(r.stops()).isCloseTo(-2.441, within(0.001));
    assertThat(r.srgb()).containsExactly(119, 119, 119);
    assertThat(r.spread()).isCloseTo(0, within(1e-6));
    assertThat(r.trusted()).isTrue();
  }

  @Test
  void aBurntReadingIsNotTrusted() {
    assertThat(Reading.at(flat(1), 20, 15, 5).trusted()).isFalse();
    assertThat(Reading.at(flat(0), 20, 15, 5).trusted()).isFalse();
    assertThatThrownBy(() -> Reading.at(flat(1), 400, 15, 5)).hasMessageContaining("outside");
  }

  @Test
  void histogramCountsEveryPixelOnce() {
    Histogram h = Histogram.of(flat(0.25f));
    assertThat(Arrays.stream(h.light()).sum()).isEqualTo(1200);
    assertThat(h.light()[(int) (0.8 * Histogram.BINS)]).isEqualTo(1200);
    assertThat(Histogram.of(flat(1)).burnt()).isEqualTo(1);
    assertThat(Histogram.of(flat(0)).blocked()).isEqualTo(1);
  }

  /**
   * What a file holds as a saturated lamp or a blue shadow counts as in the file, whatever its
   * light is in another space; the codes by the formula of IEC 61966-2-1.
   */
  @ParameterizedTest
  @CsvSource({
    "255, 120, 10, true, false", "254, 254, 254, true, false", "253, 253, 253, false, false",
    "10, 30, 254, true, false", "2, 2, 2, false, true", "3, 0, 0, false, false",
    "0, 0, 3, false, false", "0, 0, 0, false, true"
  })
  void whatIsClippedIsSaidByTheCodesOfTheFile(
      int red, int green, int blue, boolean burnt, boolean blocked) {
    Picture p = Picture.of(1, 1);
    int[] codes = {red, green, blue};
    for (int c = 0; c < 3; c++) {
      double v = codes[c] / 255.0;
      p.channel(c)[0] = (float) (v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4));
    }
    Clipping.Shares file = Clipping.ofSrgb(p);
    assertThat(file.burnt() == 1).isEqualTo(burnt);
    assertThat(file.blocked() == 1).isEqualTo(blocked);
    WorkingSpace.fromSrgb(p.planes());
    Histogram h = Histogram.of(p);
    assertThat(h.burnt()).isEqualTo(file.burnt());
    assertThat(h.blocked()).isEqualTo(file.blocked());
    assertThat(Reading.at(p, 0, 0, 1).trusted()).isEqualTo(!burnt && !blocked);
  }

  /** A rim that was painted in by hand comes back as the share of the step that it was. */
  @Test
  void overshootIsTheShareOfTheStep() {
    Plane tone = Plane.filled(80, 80, 40);
    Plane mask = Plane.of(80, 80);
    for (int y = 0; y < 80; y++) {
      for (int x = 0; x < 80; x++) {
        boolean in = x >= 25 && x < 55 && y >= 25 && y < 55;
        boolean rim = !in && x >= 22 && x < 58 && y >= 22 && y < 58;
        mask.data()[y * 80 + x] = in ? 1 : 0;
        tone.data()[y * 80 + x] = in ? 80 : rim ? 44 : 40;
      }
    }
    assertThat(Overshoot.percent(tone, Plane.filled(80, 80, 0), mask, 6, 6))
        .isCloseTo(10, within(0.5));
  }

  @Test
  void noRimIsNoOvershoot() {
    Plane tone = Plane.filled(80, 80, 40);
    assertThat(Overshoot.percent(tone, tone, Plane.of(80, 80), 6, 6)).isZero();
  }

  /** What the room does by itself beside the edge is no halo, and to flatten it is none either. */
  @Test
  void overshootLeavesTheRoomItsOwnEdges() {
    Plane mask = square(30, 30);
    Plane lit = tones(44, 40, 0);
    Plane even = tones(40, 40, 0);
    Plane shaded = tones(36, 40, 0);
    assertThat(Overshoot.percent(tones(44, 40, 80), lit, mask, 6, 6))
        .as("its own")
        .isLessThan(0.01);
    assertThat(Overshoot.percent(tones(40, 40, 80), shaded, mask, 6, 6))
        .as("flattened")
        .isLessThan(0.01);
    assertThat(Overshoot.percent(tones(44, 40, 80), even, mask, 6, 6))
        .as("painted in")
        .isCloseTo(10, within(0.5));
    assertThat(Overshoot.percent(tones(48, 40, 80), lit, mask, 6, 6))
        .as("beyond its own")
        .isCloseTo(10, within(0.5));
  }

  private static Plane square(int from, int size) {
    Plane mask = Plane.of(80, 80);
    for (int y = from; y < from + size; y++) {
      Arrays.fill(mask.data(), y * 80 + from, y * 80 + from + size, 1);
    }
    return mask;
  }

  /** A square of one tone, a rim of three pixels of another, and what is round it. */
  private static Plane tones(float rim, float around, float inside) {
    Plane in = square(30, 30);
    Plane wide = square(27, 36);
    Plane out = Plane.of(80, 80);
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = in.data()[i] > 0 ? inside : wide.data()[i] > 0 ? rim : around;
    }
    return out;
  }
}
