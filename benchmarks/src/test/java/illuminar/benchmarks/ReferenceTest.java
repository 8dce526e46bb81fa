package illuminar.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The reference library's exposure fusion (OpenCV, photo module) as we call it. */
class ReferenceTest {
  private static final int W = 96;
  private static final int H = 64;

  private static Codes flat(int... rgb) {
    byte[] codes = new byte[3 * W * H];
    for (int i = 0; i < codes.length; i++) {
      codes[i] = (byte) rgb[i % 3];
    }
    return Codes.of8(W, H, codes);
  }

  /** One exposure has all the weight, so it comes back as it is, its channels in their order. */
  @Test
  void oneExposureComesBack() {
    Frames frames =
        new Frames(
            List.of(
                new Frame("a", Role.AMBIENT, 0, Similarity.NONE, Pyramid.of(flat(200, 120, 40)))),
            "a",
            Response.srgb());
    float[] fused = Reference.fused(new Analysis(frames));
    assertThat(fused).hasSize(3 * W * H);
    assertThat(fused[3 * (H / 2 * W + W / 2)]).isCloseTo(200 / 255f, within(0.02f));
    assertThat(fused[3 * (H / 2 * W + W / 2) + 1]).isCloseTo(120 / 255f, within(0.02f));
    assertThat(fused[3 * (H / 2 * W + W / 2) + 2]).isCloseTo(40 / 255f, within(0.02f));
  }
}
