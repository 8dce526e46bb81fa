package illuminar.core.region;

import illuminar.core.picture.Bands;
import illuminar.core.picture.Raster;
import java.util.Arrays;

/** Widens or narrows a mask by a disc (grey dilation and erosion; Serra 1982). */
public final class Grow {
  /** Rows that are worked on in one go. */
  private static final int BAND = 64;

  private Grow() {}

  /**
   * The greatest, or least, value within {@code radius} pixels.
   *
   * @param wide where the values lie; the raster grown by the radius
   */
  public static float[] by(float[] values, Raster wide, Raster raster, int radius, boolean wider) {
    int w = wide.width();
    int h = wide.height();
    float[] best = new float[w * h];
    Arrays.fill(best, wider ? 0 : 1);
    int lastReach = -1;
    float[][] kept = new float[h][];
    for (int dy = 0; dy <= radius; dy++) {
      int reach = (int) Math.sqrt((double) radius * radius - (double) dy * dy);
      if (reach != lastReach) {
        Bands.of(h, BAND, (from, to) -> slide(values, w, from, to, reach, wider, kept));
      }
      int down = dy;
      Bands.of(
          h,
          BAND,
          (from, to) -> {
            for (int y = from; y < to; y++) {
              take(kept, y - down, best, y * w, wider);
              take(kept, y + down, best, y * w, wider);
            }
          });
      lastReach = reach;
    }
    return RegionWork.cut(best, wide, raster);
  }

  /** Takes in one of the rows, if there is such a one. */
  private static void take(float[][] rows, int y, float[] best, int at, boolean wider) {
    if (y < 0 || y >= rows.length) {
      return;
    }
    float[] row = rows[y];
    for (int x = 0; x < row.length; x++) {
      best[at + x] = wider ? Math.max(best[at + x], row[x]) : Math.min(best[at + x], row[x]);
    }
  }

  /** Running extremes of some rows. */
  private static void slide(
      float[] in, int w, int from, int to, int reach, boolean most, float[][] out) {
    int[] queue = new int[w];
    for (int y = from; y < to; y++) {
      out[y] = new float[w];
      slide(in, y * w, w, reach, most, queue, out[y]);
    }
  }

  /** Running extreme of a row over 2·reach + 1 places, by a queue of candidates. */
  private static void slide(
      float[] in, int at, int w, int reach, boolean most, int[] queue, float[] out) {
    int head = 0;
    int tail = 0;
    int next = 0;
    for (int x = 0; x < w; x++) {
      for (; next < w && next <= x + reach; next++) {
        while (tail > head
            && (most
                ? in[at + queue[tail - 1]] <= in[at + next]
                : in[at + queue[tail - 1]] >= in[at + next])) {
          tail--;
        }
        queue[tail++] = next;
      }
      while (queue[head] < x - reach) {
        head++;
      }
      out[x] = in[at + queue[head]];
    }
  }
}
