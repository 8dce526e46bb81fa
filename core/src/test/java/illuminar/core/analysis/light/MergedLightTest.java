package illuminar.core.analysis.light;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** How far pixels are trusted, by their codes (Robertson, Borman, Stevenson 2003, our own hat). */
class MergedLightTest {
  private static final int PIXELS = 200_000;

  /** Most pixels are told without their codes; the trust is the same to the last bit. */
  @Test
  void trustIsThatOfTheCodes() {
    Picture p = Picture.of(PIXELS, 1);
    Random random = new Random(7);
    for (int i = 0; i < PIXELS; i++) {
      float light = (float) Math.pow(2, -10 * random.nextDouble());
      for (int c = 0; c < 3; c++) {
        p.channel(c)[i] = Math.min(1, light * (0.6f + 0.8f * random.nextFloat()));
      }
    }
    for (int ends = 0; ends < 4; ends++) {
      boolean shortest = (ends & 1) == 1;
      boolean longest = (ends & 2) == 2;
      int off = 0;
      for (int i = 0; i < PIXELS; i++) {
        float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
        float least = Math.min(p.r()[i], Math.min(p.g()[i], p.b()[i]));
        float want =
            MergedLight.trust(Srgb.encodeFast(most), Srgb.encodeFast(least), shortest, longest);
        off += want == MergedLight.trust(p, i, shortest, longest) ? 0 : 1;
      }
      assertThat(off).isZero();
    }
  }

  @Test
  void whatBurnsIsTrustedInTheShortestFrameAlone() {
    assertThat(MergedLight.trust(0.99f, 0.9f, false, false)).isLessThan(1e-8f);
    assertThat(MergedLight.trust(0.99f, 0.9f, true, false)).isGreaterThan(1);
    assertThat(MergedLight.trust(0.01f, 0.01f, false, true)).isGreaterThan(1);
  }
}
