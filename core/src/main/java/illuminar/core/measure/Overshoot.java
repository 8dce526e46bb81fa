package illuminar.core.measure;

import illuminar.core.picture.Plane;

/**
 * How far a picture rises or falls beside an edge beyond where it settles: the halo, as a share of
 * the step across the edge.
 */
public final class Overshoot {
  private Overshoot() {}

  /**
   * Measures the outer side of a mask's edge.
   *
   * @param tone lightness of the picture, any unit
   * @param mask inside share, 0 to 1, at the same size
   * @param reach pixels beside the edge that are looked at
   * @param settle pixels beyond these that say where the tone settles
   * @return mean over edge points of (most tone within reach − settled) / (inside − settled), in
   *     percent; 0 where nothing rises towards the inside
   */
  public static double percent(Plane tone, Plane mask, int reach, int settle) {
    double sum = 0;
    int n = 0;
    int w = tone.width();
    int h = tone.height();
    int[][] ways = {{1, 0}, {-1, 0}, {0, 1}, {0, -1}};
    int far = reach + settle;
    for (int y = far; y < h - far; y++) {
      for (int x = far; x < w - far; x++) {
        for (int[] d : ways) {
          if (!edge(mask, x, y, d, far, w)) {
            continue;
          }
          double settled = 0;
          for (int k = reach + 1; k <= far; k++) {
            settled += tone.at(x + d[0] * k, y + d[1] * k) / settle;
          }
          double inside = 0;
          for (int k = 2; k <= 4; k++) {
            inside += tone.at(x - d[0] * k, y - d[1] * k) / 3;
          }
          double step = inside - settled;
          if (Math.abs(step) < 4) {
            continue;
          }
          double most = 0;
          for (int k = 1; k <= reach; k++) {
            double over = (tone.at(x + d[0] * k, y + d[1] * k) - settled) / step;
            most = Math.max(most, k == 1 ? 0 : over);
          }
          sum += most;
          n++;
        }
      }
    }
    return n == 0 ? 0 : 100 * sum / n;
  }

  /** The last inside pixel before a clean outside run in a direction. */
  private static boolean edge(Plane mask, int x, int y, int[] d, int far, int w) {
    if (mask.at(x, y) < 0.5f) {
      return false;
    }
    for (int k = 1; k <= far; k++) {
      float m = mask.at(x + d[0] * k, y + d[1] * k);
      if (k == 1 ? m >= 0.5f : m > 0.001f) {
        return false;
      }
    }
    for (int k = 1; k <= 4; k++) {
      if (mask.at(x - d[0] * k, y - d[1] * k) < 0.999f) {
        return false;
      }
    }
    return true;
  }
}
