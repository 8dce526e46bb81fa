package illuminar.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntPredicate;

/** Finds connected places of a grid, from neighbour to neighbour. */
public final class FloodFill {
  private FloodFill() {}

  /** Whether a fill goes on from one pixel to its neighbour. */
  public interface Step {
    boolean from(int pixel, int neighbour);
  }

  /** Every connected place of the pixels that are in, in the order of its first pixel. */
  public static List<int[]> all(int width, int height, boolean corners, IntPredicate in) {
    boolean[] seen = new boolean[width * height];
    List<int[]> places = new ArrayList<>();
    for (int i = 0; i < seen.length; i++) {
      if (!seen[i] && in.test(i)) {
        places.add(of(i, width, height, corners, seen, (from, to) -> in.test(to)));
      }
    }
    return places;
  }

  /** Whether each pixel is one to start from or is reached from there. */
  public static boolean[] reached(
      int width, int height, boolean corners, IntPredicate start, Step step) {
    boolean[] reached = new boolean[width * height];
    for (int i = 0; i < reached.length; i++) {
      if (!reached[i] && start.test(i)) {
        of(i, width, height, corners, reached, step);
      }
    }
    return reached;
  }

  /**
   * All pixels connected with a first one, that one at the head.
   *
   * @param seen pixels that no fill enters any more; modified
   * @param corners whether pixels that meet at a corner are neighbours too
   */
  public static int[] of(
      int start, int width, int height, boolean corners, boolean[] seen, Step step) {
    int[] found = new int[256];
    int count = 1;
    found[0] = start;
    seen[start] = true;
    for (int next = 0; next < count; next++) {
      int i = found[next];
      int x = i % width;
      int y = i / width;
      for (int v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++) {
        for (int u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++) {
          int k = v * width + u;
          if (!seen[k] && (corners || u == x || v == y) && step.from(i, k)) {
            if (count == found.length) {
              found = Arrays.copyOf(found, count * 2);
            }
            seen[k] = true;
            found[count++] = k;
          }
        }
      }
    }
    return Arrays.copyOf(found, count);
  }
}
