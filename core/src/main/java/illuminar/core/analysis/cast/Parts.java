package illuminar.core.analysis.cast;

import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Plane;
import java.util.function.Predicate;

/** Connected parts of a plane where it is not 0. */
final class Parts {
  private Parts() {}

  /**
   * Sets some parts to 0.
   *
   * @param plane modified
   * @param joined whether two neighbours that are not 0 are of one part
   * @param goes whether a part goes, by its pixels
   */
  static void takeOut(Plane plane, FloodFill.Step joined, Predicate<int[]> goes) {
    float[] v = plane.data();
    boolean[] seen = new boolean[v.length];
    for (int i = 0; i < v.length; i++) {
      if (v[i] > 0 && !seen[i]) {
        int[] part =
            FloodFill.of(
                i,
                plane.width(),
                plane.height(),
                false,
                seen,
                (from, to) -> v[to] > 0 && joined.from(from, to));
        if (goes.test(part)) {
          for (int k : part) {
            v[k] = 0;
          }
        }
      }
    }
  }
}
