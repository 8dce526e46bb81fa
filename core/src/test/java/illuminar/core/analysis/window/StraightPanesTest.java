package illuminar.core.analysis.window;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Windows drawn by their corners: the straight lines are the truth. */
class StraightPanesTest {
  private static final int W = 160;
  private static final int H = 120;

  /** Whether a place lies in a pane seen a little from the side. */
  private interface Glass {
    boolean at(double x, double y);
  }

  private static boolean slanted(double x, double y) {
    return x > 30 + 0.05 * y && x < 90 + 0.03 * y && y > 20 + 0.1 * x && y < 85 + 0.02 * x;
  }

  /** Share of each pixel, by 4 × 4 points. */
  private static float[] shares(Glass glass) {
    float[] out = new float[W * H];
    for (int i = 0; i < out.length; i++) {
      for (int k = 0; k < 16; k++) {
        double x = i % W + (k % 4 + 0.5) / 4;
        double y = i / W + (k / 4 + 0.5) / 4;
        out[i] += glass.at(x, y) ? 1 / 16f : 0;
      }
    }
    return out;
  }

  private static boolean[] mask(float[] shares) {
    boolean[] mask = new boolean[shares.length];
    for (int i = 0; i < mask.length; i++) {
      mask[i] = shares[i] > 0.3f;
    }
    return mask;
  }

  private static double overlap(StraightPanes panes, float[] truth) {
    double both = 0;
    double either = 0;
    for (int i = 0; i < truth.length; i++) {
      float share = panes.share(i % W + 0.5, i / W + 0.5, 1);
      both += Math.min(share, truth[i]);
      either += Math.max(share, truth[i]);
    }
    return both / either;
  }

  private static StraightPanes find(float[] matte) {
    boolean[] mask = mask(matte);
    return StraightPanes.of(mask, mask, matte, W, H);
  }

  @Test
  void aPaneSeenFromTheSideIsFoundByItsFourSides() {
    float[] truth = shares(StraightPanesTest::slanted);
    StraightPanes found = find(truth);
    assertThat(found.none()).isFalse();
    // the matte of the frames reaches a fifth of a pixel too far, this one does not
    assertThat(overlap(found, truth)).isCloseTo(1, within(0.02));
  }

  /** A bar lit like the view takes bites out of the pane; its line is the rest of its side. */
  @Test
  void bitesAtASideDoNotMoveIt() {
    float[] truth = shares(StraightPanesTest::slanted);
    float[] bitten = truth.clone();
    for (int i = 0; i < bitten.length; i++) {
      int y = i / W;
      if (i % W < 38 && (y > 40 && y < 46 || y > 62 && y < 65)) {
        bitten[i] = 0;
      }
    }
    StraightPanes found = find(bitten);
    assertThat(found.none()).isFalse();
    assertThat(overlap(found, truth)).isGreaterThan(0.97);
  }

  @Test
  void aRoundWindowIsLeftToTheMatte() {
    assertThat(find(shares((x, y) -> Math.hypot(x - 80, y - 60) < 35)).none()).isTrue();
  }

  /** A pane with a bar across is two panes that hang together somewhere, not one. */
  @Test
  void aBarAcrossIsNeverCoveredByAPane() {
    float[] barred =
        shares((x, y) -> x > 40 && x < 100 && y > 20 && y < 100 && !(y > 57 && y < 63 && x > 42));
    StraightPanes found = find(barred);
    assertThat(found.share(70, 60, 1)).isZero();
    // joined in one place only
    float[] joined =
        shares((x, y) -> x > 40 && x < 100 && y > 20 && y < 100 && !(x > 67 && x < 72 && y > 26));
    assertThat(find(joined).share(69.5, 60, 1)).isZero();
    assertThat(find(joined).share(69.5, 98, 1)).isZero();
  }

  @Test
  void glintsApartFromFourPanesAreNone() {
    Glass window =
        (x, y) -> (x > 20 && x < 50 || x > 56 && x < 86) && (y > 20 && y < 50 || y > 56 && y < 86);
    float[] seen = shares((x, y) -> window.at(x, y) || Math.hypot(x - 130, y - 40) < 3);
    StraightPanes found = find(seen);
    assertThat(found.scraps()).hasSize(1);
    assertThat(IntStream.of(found.scraps().get(0)).allMatch(i -> i % W > 120)).isTrue();
  }
}
