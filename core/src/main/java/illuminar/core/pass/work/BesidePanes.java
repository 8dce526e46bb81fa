package illuminar.core.pass.work;

import illuminar.core.colour.Burnt;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Box;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * Takes the dark line off that an exposure blend leaves beside burnt panes.
 *
 * <p>Blending in pyramids carries the pane's tone some pixels into bars and reveals (the halo of
 * Mertens, Kautz, Van Reeth 2007, their section 5). One frame that is not burnt there has none:
 * what the picture has of that frame, in stops, is the same all along a bar, so that near the pane
 * it is continued from pixels farther off.
 *
 * @param reach pixels beside the edge that are mended
 */
public record BesidePanes(int reach) {
  private static final float BLACK = 0.004f;

  /** Stops that are mended at most; more is no halo. */
  private static final float MOST = 0.6f;

  /** Share of the panes below which a pixel is the room's alone. */
  private static final float OUTSIDE = 0.002f;

  /** Weight of farther pixels that a pixel needs to be mended. */
  private static final float LEAST = 1e-4f;

  /** Pixels that are read beyond those that are mended. */
  public int margin() {
    return 2 * reach;
  }

  /** How strongly a pixel is to be mended. */
  public interface Amount {
    float at(int i);
  }

  /**
   * @param below the picture; modified on the room's side of the edge
   * @param frame of the same pixels, display-linear sRGB primaries; not modified
   * @param edges the panes' edges, themselves left alone
   */
  public void mend(Picture below, Picture frame, EdgeBand edges, Amount amount) {
    int[] box = edges.box();
    int w = box[2] - box[0];
    int h = box[3] - box[1];
    int[] away = away(edges.in(), below.width(), box);
    Plane over = Plane.of(w, h);
    Plane trust = Plane.of(w, h);
    Plane weighted = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int i = (box[1] + y) * below.width() + box[0] + x;
        int k = y * w + x;
        if (away[k] == 0 || away[k] > margin() || edges.region()[i] >= OUTSIDE) {
          continue;
        }
        float tone = Space.srgbLuminance(frame.r()[i], frame.g()[i], frame.b()[i]);
        if (frame.mostAt(i) < Burnt.SPILLED && tone > BLACK) {
          over.data()[k] = Stops.of(below.luminanceAt(i)) - Stops.of(tone);
          float far = Math.min(reach, away[k]) / (float) reach;
          trust.data()[k] = far * far * far;
          weighted.data()[k] = trust.data()[k] * over.data()[k];
        }
      }
    }
    Plane sum = Box.mean(trust, reach);
    Plane far = Box.mean(weighted, reach);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int k = y * w + x;
        if (trust.data()[k] > 0 && away[k] <= reach && sum.data()[k] > LEAST) {
          int i = (box[1] + y) * below.width() + box[0] + x;
          float off = far.data()[k] / sum.data()[k] - over.data()[k];
          float mended = Math.max(-MOST, Math.min(MOST, off));
          float near = Ease.between(1.5f * (1 - (away[k] - 1) / (float) reach));
          float gain = Stops.light(mended * near * amount.at(i));
          below.r()[i] *= gain;
          below.g()[i] *= gain;
          below.b()[i] *= gain;
        }
      }
    }
  }

  /** Pixels from each place in the box to the edge, counted as far as anything is read. */
  private int[] away(boolean[] edge, int width, int[] box) {
    int w = box[2] - box[0];
    int h = box[3] - box[1];
    int[] away = new int[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int k = y * w + x;
        int d = edge[(box[1] + y) * width + box[0] + x] ? 0 : margin() + 1;
        d = x > 0 ? Math.min(d, away[k - 1] + 1) : d;
        d = y > 0 ? Math.min(d, away[k - w] + 1) : d;
        away[k] = y > 0 && x > 0 ? Math.min(d, away[k - w - 1] + 1) : d;
      }
    }
    for (int y = h - 1; y >= 0; y--) {
      for (int x = w - 1; x >= 0; x--) {
        int k = y * w + x;
        int d = away[k];
        d = x + 1 < w ? Math.min(d, away[k + 1] + 1) : d;
        d = y + 1 < h ? Math.min(d, away[k + w] + 1) : d;
        away[k] = y + 1 < h && x + 1 < w ? Math.min(d, away[k + w + 1] + 1) : d;
      }
    }
    return away;
  }
}
