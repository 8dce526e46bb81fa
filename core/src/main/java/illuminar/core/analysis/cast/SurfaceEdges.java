package illuminar.core.analysis.cast;

import illuminar.core.picture.Plane;
import java.util.Arrays;

/** What lies in the steps between surfaces, and between them and other things. */
final class SurfaceEdges {
  /** Pixels to each side within which a step of light is bridged. */
  private static final int BRIDGE = 14;

  /** Pixels to each side of a surface's edge that belong to the edge. */
  private static final int EDGE = 4;

  private static final byte UNKNOWN = 0;
  private static final byte SURFACE = 1;
  private static final byte OTHER = 2;

  private SurfaceEdges() {}

  /**
   * Adds what a narrow step of light parts from the surface on both its sides, as the edge of a
   * lamp's cone does: its tone and colour lie between theirs.
   *
   * @param share modified
   */
  static void bridge(Plane share, boolean[] shut, LightSteps steps) {
    float[] before = share.data().clone();
    for (int i = 0; i < before.length; i++) {
      for (int axis = 0; axis < 2 && before[i] == 0 && !shut[i]; axis++) {
        int one = next(before, i, 2 * axis, steps);
        int other = one < 0 ? -1 : next(before, i, 2 * axis + 1, steps);
        if (other >= 0 && steps.between(i, one, other)) {
          share.data()[i] = Math.min(before[one], before[other]);
        }
      }
    }
  }

  /** The next place of a surface on one side of a pixel, -1 where there is none near. */
  private static int next(float[] share, int i, int side, LightSteps steps) {
    int k = i;
    for (int n = 0; n < BRIDGE && k >= 0; n++) {
      k = steps.neighbour(k, side);
      if (k >= 0 && share[k] > 0) {
        return k;
      }
    }
    return -1;
  }

  /**
   * Gives what lies in a step to the side that it is more like.
   *
   * @param surfaces modified
   */
  static void fill(Surfaces surfaces, OwnLean own, LightSteps steps) {
    byte[] kind = new byte[surfaces.share().data().length];
    Arrays.fill(kind, OTHER);
    int[] edge = edge(surfaces, kind, steps);
    for (int round = 0; round < EDGE; round++) {
      byte[] before = kind.clone();
      for (int i : edge) {
        int like = before[i] == UNKNOWN ? mostLike(i, before, surfaces, own, steps) : -1;
        if (like >= 0) {
          kind[i] = before[like];
          if (kind[i] == SURFACE) {
            surfaces.red().data()[i] = surfaces.red().data()[like];
            surfaces.blue().data()[i] = surfaces.blue().data()[like];
            surfaces.share().data()[i] = surfaces.share().data()[like];
          }
        }
      }
    }
  }

  /** The pixels beside surfaces, up to the width of an edge; {@code kind} is written. */
  private static int[] edge(Surfaces surfaces, byte[] kind, LightSteps steps) {
    int[] queue = new int[kind.length];
    int n = 0;
    for (int i = 0; i < kind.length; i++) {
      if (surfaces.share().data()[i] > 0) {
        kind[i] = SURFACE;
        queue[n++] = i;
      }
    }
    int first = n;
    int from = 0;
    for (int away = 0; away < EDGE; away++) {
      int to = n;
      for (int next = from; next < to; next++) {
        for (int side = 0; side < 4; side++) {
          int k = steps.neighbour(queue[next], side);
          if (k >= 0 && kind[k] == OTHER) {
            kind[k] = UNKNOWN;
            queue[n++] = k;
          }
        }
      }
      from = to;
    }
    return Arrays.copyOfRange(queue, first, n);
  }

  private static int mostLike(
      int i, byte[] kind, Surfaces surfaces, OwnLean own, LightSteps steps) {
    float best = Float.POSITIVE_INFINITY;
    int like = -1;
    for (int side = 0; side < 4; side++) {
      int k = steps.neighbour(i, side);
      if (k >= 0 && kind[k] != UNKNOWN) {
        boolean surface = kind[k] == SURFACE;
        float byRed = own.red().data()[i] - (surface ? surfaces.red() : own.red()).data()[k];
        float byBlue = own.blue().data()[i] - (surface ? surfaces.blue() : own.blue()).data()[k];
        float away = byRed * byRed + byBlue * byBlue;
        if (away < best) {
          best = away;
          like = k;
        }
      }
    }
    return like;
  }
}
