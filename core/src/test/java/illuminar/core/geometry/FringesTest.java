package illuminar.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Picture;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/**
 * Painted walls drawn with red and blue larger or smaller than green, by the formula of lateral
 * colour; sizes are those of zoom lenses, some hundredths to two tenths of a percent (from memory).
 */
class FringesTest {
  @Test
  void fringesOfBothSignsAreFound() {
    Fringes.Found found = Fringes.of(ThroughALens.drawn(3, 0.18, -0.09));
    assertThat(found.sure()).isTrue();
    assertThat(found.red()).isCloseTo(0.18, within(0.015));
    assertThat(found.blue()).isCloseTo(-0.09, within(0.015));
  }

  @Test
  void aPictureWithoutFringesHasNone() {
    for (int seed = 10; seed < 14; seed++) {
      Fringes.Found found = Fringes.of(ThroughALens.drawn(seed, 0, 0));
      assertThat(found.red()).isCloseTo(0, within(0.012));
      assertThat(found.blue()).isCloseTo(0, within(0.012));
    }
  }

  @Test
  void aPlainWallTellsNothing() {
    Picture p = Picture.of(ThroughALens.W, ThroughALens.H);
    for (int c = 0; c < 3; c++) {
      Arrays.fill(p.channel(c), 0.5f);
    }
    assertThat(Fringes.of(p).sure()).isFalse();
  }
}
