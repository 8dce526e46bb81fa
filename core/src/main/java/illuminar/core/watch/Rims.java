package illuminar.core.watch;

import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.List;

/**
 * Walks away from strong edges of the light, on both sides, and compares what is done to the
 * surface beside the edge with what is done to it further off. Where the light itself is even all
 * the way, any difference is a rim.
 */
final class Rims {
  /** Stops across an edge from which on it is strong. */
  private static final float STRONG = 0.9f;

  /** Stops within which the light along the way counts as even. */
  private static final float EVEN = 0.35f;

  private static final int NEAR = 2;
  private static final int NEAR_END = 5;
  private static final int FAR = 13;
  private static final int FAR_END = 20;

  private final Plane light;
  private final List<Way> ways = new ArrayList<>();

  /** A way that leads from a strong edge over an even surface, in unit steps. */
  record Way(int x, int y, float dx, float dy) {

    /** Mean of a plane beside the edge. */
    float near(Plane p) {
      return mean(p, NEAR, NEAR_END);
    }

    /** Mean of a plane further off. */
    float far(Plane p) {
      return mean(p, FAR, FAR_END);
    }

    private float mean(Plane p, int from, int to) {
      float sum = 0;
      for (int t = from; t <= to; t++) {
        sum += p.sample(x + dx * t, y + dy * t);
      }
      return sum / (to - from + 1);
    }
  }

  private Rims(Plane light) {
    this.light = light;
  }

  /**
   * All ways of a view.
   *
   * @param light in stops; not modified
   */
  static List<Way> of(Plane light) {
    Rims rims = new Rims(light);
    rims.find();
    return List.copyOf(rims.ways);
  }

  private void find() {
    int w = light.width();
    int h = light.height();
    for (int y = 3; y < h - 3; y++) {
      for (int x = 3; x < w - 3; x++) {
        float gx = light.at(x + 2, y) - light.at(x - 2, y);
        float gy = light.at(x, y + 2) - light.at(x, y - 2);
        float g = (float) Math.sqrt(gx * gx + gy * gy);
        if (g > STRONG && peak(x, y, gx / g, gy / g, g)) {
          side(x, y, gx / g, gy / g);
          side(x, y, -gx / g, -gy / g);
        }
      }
    }
  }

  /** Whether the edge is nowhere stronger across itself. */
  private boolean peak(int x, int y, float nx, float ny, float g) {
    for (int s = -1; s <= 1; s += 2) {
      float u = x + s * nx;
      float v = y + s * ny;
      float gx = light.sample(u + 2, v) - light.sample(u - 2, v);
      float gy = light.sample(u, v + 2) - light.sample(u, v - 2);
      if (gx * gx + gy * gy > g * g) {
        return false;
      }
    }
    return true;
  }

  private void side(int x, int y, float dx, float dy) {
    float endX = x + dx * FAR_END;
    float endY = y + dy * FAR_END;
    if (endX < 0 || endY < 0 || endX > light.width() - 1 || endY > light.height() - 1) {
      return;
    }
    float low = Float.MAX_VALUE;
    float high = -Float.MAX_VALUE;
    for (int t = NEAR; t <= FAR_END; t++) {
      float v = light.sample(x + dx * t, y + dy * t);
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    if (high - low < EVEN) {
      ways.add(new Way(x, y, dx, dy));
    }
  }
}
