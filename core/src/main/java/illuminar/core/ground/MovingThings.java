package illuminar.core.ground;

import illuminar.core.picture.Fill;
import illuminar.core.picture.Plane;
import java.util.List;

/**
 * Takes every moving thing from one frame alone: from the one that shows all of it best.
 *
 * <p>Source: Pece and Kautz, "Bitmap movement detection: HDR for dynamic scenes", 2010: one
 * exposure for each connected cluster of movement, the pyramids blend it in.
 */
final class MovingThings {
  private MovingThings() {}

  /**
   * @param moving share of movement at each pixel, 0 to 1; not modified
   * @param weights one plane for each frame, summing to 1; modified
   */
  static void takeOneFrame(Plane moving, List<Plane> weights) {
    int w = moving.width();
    int h = moving.height();
    boolean[] seen = new boolean[w * h];
    for (int start = 0; start < seen.length; start++) {
      if (!seen[start] && moving.data()[start] > 0) {
        int[] thing = Fill.of(start, w, h, true, seen, (from, to) -> moving.data()[to] > 0);
        take(thing, best(thing, weights), moving, weights);
      }
    }
  }

  private static int best(int[] thing, List<Plane> weights) {
    int best = 0;
    double most = -1;
    for (int k = 0; k < weights.size(); k++) {
      double sum = 0;
      for (int i : thing) {
        sum += weights.get(k).data()[i];
      }
      if (sum > most) {
        most = sum;
        best = k;
      }
    }
    return best;
  }

  private static void take(int[] thing, int frame, Plane moving, List<Plane> weights) {
    for (int i : thing) {
      float share = Math.min(1, 2 * moving.data()[i]);
      for (int k = 0; k < weights.size(); k++) {
        float[] weight = weights.get(k).data();
        weight[i] += ((k == frame ? 1 : 0) - weight[i]) * share;
      }
    }
  }
}
