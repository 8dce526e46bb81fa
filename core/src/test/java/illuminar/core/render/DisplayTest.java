package illuminar.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Space;
import illuminar.core.picture.Picture;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Codes for the screen and for files, by the formula of IEC 61966-2-1. */
class DisplayTest {
  private static final int W = 61;
  private static final int H = 23;

  /** Display-linear sRGB at random, some of it beyond black and white. */
  private static final double[][] LINEAR = new double[W * H][3];

  private static final Picture PICTURE = Picture.of(W, H);

  static {
    Random random = new Random(9);
    for (int i = 0; i < W * H; i++) {
      for (int c = 0; c < 3; c++) {
        LINEAR[i][c] = random.nextDouble() * 1.2 - 0.1;
      }
      double[] work = Space.SRGB_TO_WORK.apply(LINEAR[i][0], LINEAR[i][1], LINEAR[i][2]);
      for (int c = 0; c < 3; c++) {
        PICTURE.channel(c)[i] = (float) work[c];
      }
    }
  }

  private static double code(double linear) {
    double v = Math.max(0, Math.min(1, linear));
    return v <= 0.0031308 ? 12.92 * v : 1.055 * Math.pow(v, 1 / 2.4) - 0.055;
  }

  /** Codes come from a table; a value half way between two may go to either. */
  @Test
  void eightBitCodesAreTheFormulasRounded() {
    byte[] codes = Display.to8(PICTURE);
    assertThat(codes).hasSize(W * H * 3);
    for (int i = 0; i < codes.length; i++) {
      double wanted = 255 * code(LINEAR[i / 3][i % 3]);
      assertThat((double) (codes[i] & 255)).isCloseTo(wanted, within(0.56));
    }
  }

  @Test
  void sixteenBitCodesAreNearTheFormula() {
    short[] codes = OutputSpace.SRGB.codes16(PICTURE);
    for (int i = 0; i < codes.length; i++) {
      double wanted = 65535 * code(LINEAR[i / 3][i % 3]);
      // a tenth of an 8-bit code
      assertThat((double) (codes[i] & 65535)).isCloseTo(wanted, within(26.0));
    }
  }

  @Test
  void someOfTheRowsAreThoseOfTheWhole() {
    byte[] whole = Display.to8(PICTURE);
    byte[] part = Display.to8(PICTURE, 5, 12);
    assertThat(part).hasSize(7 * W * 3);
    for (int i = 0; i < part.length; i++) {
      assertThat(part[i]).isEqualTo(whole[5 * W * 3 + i]);
    }
  }
}
