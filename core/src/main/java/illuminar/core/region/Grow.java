package illuminar.core.region;

import illuminar.core.picture.Raster;
import java.util.Arrays;

/** Widens or narrows a mask by a disc (grey dilation and erosion; Serra 1982). */
public final class Grow {
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
    float[] row = new float[w];
    int[] queue = new int[w];
    int lastReach = -1;
    float[][] kept = new float[h][];
    for (int dy = 0; dy <= radius; dy++) {
      int reach = (int) Math.sqrt((double) radius * radius - (double) dy * dy);
      for (int y = 0; y < h; y++) {
        if (reach != lastReach || kept[y] == null) {
          slide(values, y * w, w, reach, wider, queue, row);
          kept[y] = row.clone();
        }
        for (int side = dy == 0 ? 1 : -1; side <= 1; side += 2) {
          int to = y + side * dy;
          if (to >= 0 && to < h) {
            take(kept[y], best, to * w, wider);
          }
        }
      }
      lastReach = reach;
    }
    return RegionWork.cut(best, wide, raster);
  }

  private static void take(float[] row, float[] best, int at, boolean wider) {
    for (int x = 0; x < row.length; x++) {
      best[at + x] = wider ? Math.max(best[at + x], row[x]) : Math.min(best[at + x], row[x]);
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
