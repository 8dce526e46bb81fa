package illuminar.core.pass.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * What happens along the edges of panes, on an invented bar between two panes: mixtures by the
 * compositing equation (Porter and Duff 1984), and the halo of an exposure blend (Mertens, Kautz,
 * Van Reeth 2007, section 5) as a dip that fades over some pixels.
 */
class PaneEdgesTest {
  private static final int W = 90;
  private static final int H = 40;
  private static final int[] ALL = {0, 0, W, H};

  /** The bar's left and right edge. */
  private static final double LEFT = 30.5;

  private static final double RIGHT = 58.5;

  /** Pixels over which a pane's edge passes. */
  private static double region(int x) {
    double inside = Math.max(LEFT - x, x - RIGHT);
    return Math.max(0, Math.min(1, inside + 0.5));
  }

  private static float[] regions() {
    float[] m = new float[W * H];
    for (int i = 0; i < m.length; i++) {
      m[i] = (float) region(i % W);
    }
    return m;
  }

  private static double fromPane(int x) {
    return Math.min(x - LEFT, RIGHT - x);
  }

  private interface Value {
    double at(int x, int y, int c);
  }

  private static Picture picture(Value value) {
    Picture p = Picture.of(W, H);
    for (int i = 0; i < W * H; i++) {
      for (int c = 0; c < 3; c++) {
        p.channel(c)[i] = (float) value.at(i % W, i / W, c);
      }
    }
    return p;
  }

  /** Wood with grain, 0.3 to 0.4. */
  private static final double[] GRAIN = new Random(4).doubles(W * H, 0.3, 0.4).toArray();

  private static double frame(int x, int y) {
    double m = region(x);
    return GRAIN[y * W + x] * (1 - m) + m;
  }

  /** The blend: two thirds of a stop above the frame, darker towards the panes. */
  private static double blend(int x, int y) {
    double dip = -0.4 * Math.exp(-Math.max(0, fromPane(x)) / 2.5);
    return region(x) > 0 ? 1 : frame(x, y) * Math.pow(2, 0.66 + dip);
  }

  private static Picture mended(Picture frame, float amount) {
    Picture p = picture((x, y, c) -> blend(x, y));
    new BesidePanes(8).mend(p, frame, EdgeBand.of(regions(), W, H, ALL).outwards(1), i -> amount);
    return p;
  }

  private static double over(Picture p, int x, int y) {
    return Stops.of(p.r()[y * W + x]) - Stops.of((float) frame(x, y));
  }

  @Test
  void theDarkLineBesideAPaneGoesAndTheGrainStays() {
    Picture after = mended(picture((x, y, c) -> frame(x, y)), 1);
    Picture before = picture((x, y, c) -> blend(x, y));
    double left = 0;
    double was = 0;
    int n = 0;
    for (int y = 8; y < H - 8; y++) {
      for (int x = 34; x < 38; x++) {
        left += Math.abs(over(after, x, y) - 0.66);
        was += Math.abs(over(before, x, y) - 0.66);
        n++;
      }
    }
    assertThat(was / n).isGreaterThan(0.05);
    assertThat(left / n).isLessThan(0.25 * was / n);
    // one gain along each column: what the frame shows is what the picture shows
    for (int x = 34; x < 54; x++) {
      assertThat(over(after, x, 12)).isCloseTo(over(after, x, 27), within(0.03));
    }
  }

  @Test
  void farFromThePanesAndInThemNothingChanges() {
    Picture before = picture((x, y, c) -> blend(x, y));
    Picture after = mended(picture((x, y, c) -> frame(x, y)), 1);
    for (int y = 0; y < H; y++) {
      for (int x : new int[] {2, 20, 30, 43, 44, 45, 58, 59, 80}) {
        assertThat(after.g()[y * W + x]).isEqualTo(before.g()[y * W + x]);
      }
    }
  }

  /** Where the frame itself is burnt it tells nothing, and the picture is left alone. */
  @Test
  void aBurntFrameMendsNothing() {
    Picture before = picture((x, y, c) -> blend(x, y));
    Picture after = mended(picture((x, y, c) -> 1), 1);
    assertThat(after.r()).isEqualTo(before.r());
    assertThat(after.b()).isEqualTo(before.b());
  }

  @Test
  void strengthIsAShareOfTheStops() {
    Picture frame = picture((x, y, c) -> frame(x, y));
    Picture before = picture((x, y, c) -> blend(x, y));
    Picture half = mended(frame, 0.5f);
    Picture full = mended(frame, 1);
    for (int x = 34; x < 38; x++) {
      double whole = over(full, x, 20) - over(before, x, 20);
      assertThat(over(half, x, 20) - over(before, x, 20)).isCloseTo(whole / 2, within(0.005));
    }
  }

  /** Both sides come back from their mixture, whatever the share. */
  @Test
  void bothSidesOfAnEdgeAreContinuedFromCleanPixels() {
    double[] room = {0.3, 0.25, 0.2};
    double[] view = {0.5, 0.7, 0.9};
    float[] region = regions();
    Picture mixed = picture((x, y, c) -> room[c] * (1 - region(x)) + 4 * view[c] * region(x));
    Picture pane = picture((x, y, c) -> 0.1 * room[c] * (1 - region(x)) + view[c] * region(x));
    EdgeBand edges = EdgeBand.of(region, W, H, ALL);
    float[][] clean = edges.clean(mixed, pane, 4);
    int reached = 0;
    for (int i = 0; i < W * H; i++) {
      if (edges.in()[i]) {
        reached++;
        for (int c = 0; c < 3; c++) {
          assertThat((double) clean[c][i]).isCloseTo(room[c], within(0.02));
          assertThat((double) clean[3 + c][i]).isCloseTo(view[c], within(0.02));
        }
      }
    }
    assertThat(reached).isBetween(2 * H, 8 * H);
  }

  @Test
  void aSoftRegionHasNoEdge() {
    float[] soft = new float[W * H];
    for (int i = 0; i < soft.length; i++) {
      soft[i] = (i % W) / (float) (2 * W);
    }
    assertThat(EdgeBand.of(soft, W, H, ALL).in()).doesNotContain(true);
  }

  @Test
  void aBandGrowsOutsideTheRegionOnly() {
    float[] region = regions();
    EdgeBand edges = EdgeBand.of(region, W, H, ALL);
    EdgeBand wider = edges.outwards(2);
    for (int x = 1; x < W - 1; x++) {
      int i = 20 * W + x;
      if (region[i] > 0.02f) {
        assertThat(wider.in()[i]).as("column %d", x).isEqualTo(edges.in()[i]);
      }
    }
    assertThat(wider.in()[20 * W + 33]).isTrue();
    assertThat(edges.in()[20 * W + 33]).isFalse();
  }
}
