package illuminar.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Common practice, no source: a watermark is read on any ground and covers little of a picture. */
class WatermarkTest {
  private static Watermark at(Watermark.Place place) {
    return new Watermark("Heath", place, 0.1, 0.5);
  }

  /** Near its corner, within the picture, however narrow that is. */
  @ParameterizedTest
  @EnumSource(Watermark.Place.class)
  void itLiesWithinThePicture(Watermark.Place place) {
    for (int[] size : new int[][] {{600, 400}, {120, 900}, {4000, 90}}) {
      double pixels = at(place).pixels(size[0], size[1], 3);
      Raster area = at(place).area(size[0], size[1], 3 * pixels, 0.8 * pixels, pixels);
      assertThat(area.x()).isNotNegative();
      assertThat(area.y()).isNotNegative();
      assertThat(area.x() + area.width()).isLessThanOrEqualTo(size[0]);
      assertThat(area.y() + area.height()).isLessThanOrEqualTo(size[1]);
    }
    Raster area = at(place).area(600, 400, 180, 48, 60);
    double across = (area.x() + area.width() / 2.0) / 600;
    boolean right = place.name().endsWith("RIGHT");
    boolean left = place.name().endsWith("LEFT");
    assertThat(across > 0.5).isEqualTo(right);
    assertThat(across < 0.5).isEqualTo(left);
  }

  /** A letter on black, grey and white; eight bits and sixteen say the same. */
  @Test
  void itIsReadOnAnyGround() {
    Watermark mark = at(Watermark.Place.MIDDLE);
    int width = 60;
    Raster area = Raster.whole(width, 60, 1);
    Plane letter = Plane.of(width, 60);
    for (int y = 20; y < 40; y++) {
      for (int x = 28; x < 32; x++) {
        letter.data()[y * width + x] = 1;
      }
    }
    for (int ground : new int[] {0, 128, 255}) {
      byte[] eight = new byte[width * 60];
      short[] sixteen = new short[width * 60];
      for (int i = 0; i < eight.length; i++) {
        eight[i] = (byte) ground;
        sixteen[i] = (short) (ground * 257);
      }
      mark.over(eight, width, 1, area, letter, 40);
      mark.over(sixteen, width, 1, area, letter, 40);
      int on = eight[30 * width + 30] & 255;
      int beside = eight[30 * width + 27] & 255;
      assertThat(on - beside).as("on %d", ground).isGreaterThan(40);
      assertThat(eight[5 * width + 5] & 255).isEqualTo(ground);
      for (int i = 0; i < eight.length; i++) {
        assertThat((sixteen[i] & 65535) / 257.0).isCloseTo(eight[i] & 255, within(0.51));
      }
    }
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new Watermark("two\nlines", Watermark.Place.MIDDLE, 0.1, 0.5))
        .hasMessageContaining("one line");
    assertThatThrownBy(() -> new Watermark("a", Watermark.Place.MIDDLE, 0.1, Double.NaN))
        .hasMessageContaining("strength");
    assertThat(new Watermark("  ", null, 0.1, 0.5).none()).isTrue();
  }
}
