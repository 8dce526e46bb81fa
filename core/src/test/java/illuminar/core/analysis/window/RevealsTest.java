package illuminar.core.analysis.window;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import org.junit.jupiter.api.Test;

/**
 * What belongs to a window's joinery and what to its view. Invented panes; that paint beside a pane
 * shows the light of the window, two and more stops under the sky, is common practice, no source.
 */
class RevealsTest {
  private static final int W = 60;
  private static final int H = 50;
  private static final double[] SKY = {0.5, 0.6, 0.8};

  private final Picture picture = Picture.of(W, H);
  private final boolean[] mask = new boolean[W * H];

  /** A pane from (5, 5) to (55, 45) full of sky. */
  RevealsTest() {
    fill(0, 0, W, H, 0.01, SKY, false);
    fill(5, 5, 55, 45, 1, SKY, true);
  }

  private void fill(int x0, int y0, int x1, int y1, double light, double[] of, boolean in) {
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        int i = y * W + x;
        for (int c = 0; c < 3; c++) {
          picture.channel(c)[i] = (float) (light * of[c]);
        }
        mask[i] = in;
      }
    }
  }

  private void remove() {
    Reveals.remove(mask, W, H, picture, Response.srgb(), 0.6f);
  }

  private double left(int x0, int y0, int x1, int y1) {
    double n = 0;
    for (int y = y0; y < y1; y++) {
      for (int x = x0; x < x1; x++) {
        n += mask[y * W + x] ? 1 : 0;
      }
    }
    return n / ((x1 - x0) * (y1 - y0));
  }

  @Test
  void aSkyLitStripAlongTheEdgeIsJoinery() {
    fill(48, 5, 55, 45, 0.25, SKY, true);
    remove();
    assertThat(left(48, 5, 55, 45)).isZero();
    assertThat(left(5, 5, 47, 45)).isEqualTo(1);
  }

  @Test
  void aDimHillOfItsOwnColourStays() {
    fill(5, 36, 55, 45, 0.25, new double[] {0.55, 0.6, 0.2}, true);
    remove();
    assertThat(left(5, 5, 55, 45)).isEqualTo(1);
  }

  @Test
  void whatIsVeryDimAlongTheEdgeIsJoineryOfAnyColour() {
    fill(5, 38, 55, 45, 0.12, new double[] {0.8, 0.6, 0.3}, true);
    remove();
    assertThat(left(5, 38, 55, 45)).isZero();
    assertThat(left(5, 5, 55, 37)).isEqualTo(1);
  }

  @Test
  void aDimThingInTheMiddleOfTheViewStays() {
    fill(25, 20, 35, 30, 0.12, SKY, true);
    remove();
    assertThat(left(5, 5, 55, 45)).isEqualTo(1);
  }

  /** A ridge that fades from the sky by degrees is one patch with it. */
  @Test
  void cloudsAndHazeStay() {
    for (int y = 5; y < 45; y++) {
      fill(5, y, 55, y + 1, 1 - 0.015 * (y - 5), SKY, true);
    }
    remove();
    assertThat(left(5, 5, 55, 45)).isEqualTo(1);
  }
}
