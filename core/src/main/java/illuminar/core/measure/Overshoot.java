package illuminar.core.measure;

import illuminar.core.picture.Plane;

/**
 * How far a picture rises or falls beside an edge beyond where it settles: the halo, as a share of
 * the step across the edge.
 */
public final class Overshoot {
  /** Where the outside itself varies by more than this, its own structure hides any halo. */
  private static final double STRUCTURE = 8;

  /** Where the outside is expected to burn, its structure cannot be told. */
  private static final double BURNT = 98;

  private Overshoot() {}

  /**
   * Measures the outer side of a mask's edge.
   *
   * @param tone lightness of the picture, L*
   * @param expected the tone that the outside would have without any halo, same size and unit
   * @param mask inside share, 0 to 1, at the same size
   * @param reach pixels beside the edge that are looked at
   * @param settle pixels beyond these that say where the tone settles
   * @return greatest over distances 2 to {@code reach} of the mean rise towards the inside tone, as
   *     a share of the mean step, in percent; noise averages out, a halo does not. What is expected
   *     to rise by itself is no halo; where it falls, a tone that stays is none either
   */
  public static double percent(Plane tone, Plane expected, Plane mask, int reach, int settle) {
    double[] rise = new double[reach + 1];
    double steps = 0;
    int w = tone.width();
    int h = tone.height();
    int[][] ways = {{1, 0}, {-1, 0}, {0, 1}, {0, -1}};
    int far = reach + settle;
    for (int y = far; y < h - far; y++) {
      for (int x = far; x < w - far; x++) {
        for (int[] d : ways) {
          if (edge(mask, x, y, d, far)) {
            steps += add(tone, expected, x, y, d, reach, settle, rise);
          }
        }
      }
    }
    double most = 0;
    for (double r : rise) {
      most = Math.max(most, r);
    }
    return steps == 0 ? 0 : 100 * most / steps;
  }

  /**
   * A smaller step counts as this, L*: a fiftieth of it is less than anyone sees, however small the
   * step itself.
   */
  public static final double LEAST_STEP = 20;

  /**
   * Adds one edge point's rise at each distance; returns its step, or 0 where there is none to
   * speak of.
   */
  private static double add(
      Plane tone, Plane expected, int x, int y, int[] d, int reach, int settle, double[] rise) {
    double settled = 0;
    double plain = 0;
    double low = Double.MAX_VALUE;
    double high = -Double.MAX_VALUE;
    for (int k = 2; k <= reach + settle; k++) {
      double e = expected.at(x + d[0] * k, y + d[1] * k);
      low = Math.min(low, e);
      high = Math.max(high, e);
      if (k > reach) {
        settled += tone.at(x + d[0] * k, y + d[1] * k) / settle;
        plain += e / settle;
      }
    }
    double inside = 0;
    for (int k = 2; k <= 4; k++) {
      inside += tone.at(x - d[0] * k, y - d[1] * k) / 3;
    }
    double step = inside - settled;
    if (Math.abs(step) < 4 || high - low > STRUCTURE || high > BURNT) {
      return 0;
    }
    double way = Math.signum(step);
    for (int k = 2; k <= reach; k++) {
      double own = way * (expected.at(x + d[0] * k, y + d[1] * k) - plain);
      rise[k] += way * (tone.at(x + d[0] * k, y + d[1] * k) - settled) - Math.max(0, own);
    }
    return Math.max(LEAST_STEP, Math.abs(step));
  }

  /** The last inside pixel before a clean outside run in a direction. */
  private static boolean edge(Plane mask, int x, int y, int[] d, int far) {
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
