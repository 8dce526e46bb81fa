package illuminar.core.geometry;

import illuminar.core.filter.Gauss;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Straight edges of a picture: pixels that touch and whose gradients point the same way, taken from
 * the strongest on, and the line through them (after Grompone von Gioi, Jakubowicz, Morel and
 * Randall 2010).
 */
final class Segments {
  /** Directions within one region lie within so many radians of their mean. */
  private static final double ALIKE = Math.toRadians(15);

  /** Gradient of tones, 0 to 1, below which there is no edge. */
  private static final float LEAST = 0.008f;

  /** Share of the long edge that a segment is long at least. */
  private static final double SHORTEST = 0.035;

  /** Share of the box round a region that the region fills at least. */
  private static final double DENSE = 0.5;

  private static final int BINS = 1024;

  private final int w;
  private final int h;
  private final float[] strength;
  private final float[] direction;
  private final boolean[] taken;
  private final int[] region;

  private Segments(Plane tones) {
    w = tones.width() - 1;
    h = tones.height() - 1;
    strength = new float[w * h];
    direction = new float[w * h];
    taken = new boolean[w * h];
    region = new int[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        float a = tones.at(x, y);
        float b = tones.at(x + 1, y);
        float c = tones.at(x, y + 1);
        float d = tones.at(x + 1, y + 1);
        float gx = (b + d - a - c) / 2;
        float gy = (c + d - a - b) / 2;
        strength[y * w + x] = (float) Math.hypot(gx, gy);
        direction[y * w + x] = (float) Math.atan2(gy, gx);
      }
    }
  }

  /**
   * Segments of a picture.
   *
   * @param tones as they are seen, 0 to 1
   * @return in fractions of the picture's long edge
   */
  static List<Upright.Line> of(Plane tones) {
    return new Segments(Gauss.smooth(tones, 0.8)).all(Math.max(tones.width(), tones.height()));
  }

  private List<Upright.Line> all(int longEdge) {
    List<Upright.Line> out = new ArrayList<>();
    for (int i : strongestFirst()) {
      if (taken[i]) {
        continue;
      }
      int n = grown(i);
      if (n >= SHORTEST * longEdge) {
        double[] line = line(n);
        if (line != null
            && Math.hypot(line[2] - line[0], line[3] - line[1]) >= SHORTEST * longEdge) {
          // a gradient lies between four pixels
          out.add(
              new Upright.Line(
                  new Point((line[0] + 1) / longEdge, (line[1] + 1) / longEdge),
                  new Point((line[2] + 1) / longEdge, (line[3] + 1) / longEdge)));
        }
      }
    }
    return out;
  }

  private int[] strongestFirst() {
    int[] count = new int[BINS + 1];
    int all = 0;
    for (float s : strength) {
      if (s >= LEAST) {
        count[bin(s)]++;
        all++;
      }
    }
    int[] from = new int[BINS + 1];
    int at = 0;
    for (int b = BINS; b >= 0; b--) {
      from[b] = at;
      at += count[b];
    }
    int[] order = new int[all];
    for (int i = 0; i < strength.length; i++) {
      if (strength[i] >= LEAST) {
        order[from[bin(strength[i])]++] = i;
      }
    }
    return order;
  }

  private static int bin(float s) {
    return Math.min(BINS, (int) (s * BINS));
  }

  /** Collects the region of a pixel; how many pixels it has. */
  private int grown(int seed) {
    int n = 0;
    region[n++] = seed;
    taken[seed] = true;
    double sx = Math.cos(direction[seed]);
    double sy = Math.sin(direction[seed]);
    double mean = direction[seed];
    for (int k = 0; k < n; k++) {
      int x = region[k] % w;
      int y = region[k] / w;
      for (int v = Math.max(0, y - 1); v <= Math.min(h - 1, y + 1); v++) {
        for (int u = Math.max(0, x - 1); u <= Math.min(w - 1, x + 1); u++) {
          int i = v * w + u;
          if (!taken[i] && strength[i] >= LEAST && apart(direction[i], mean) < ALIKE) {
            taken[i] = true;
            region[n++] = i;
            sx += Math.cos(direction[i]);
            sy += Math.sin(direction[i]);
            mean = Math.atan2(sy, sx);
          }
        }
      }
    }
    return n;
  }

  private static double apart(double a, double b) {
    double d = Math.abs(a - b);
    return d > Math.PI ? 2 * Math.PI - d : d;
  }

  /** The line through a region, weighed by strength: both ends; null where it is no line. */
  private double[] line(int n) {
    double sum = 0;
    double mx = 0;
    double my = 0;
    for (int k = 0; k < n; k++) {
      double s = strength[region[k]];
      sum += s;
      mx += s * (region[k] % w);
      my += s * (region[k] / w);
    }
    mx /= sum;
    my /= sum;
    double xx = 0;
    double yy = 0;
    double xy = 0;
    for (int k = 0; k < n; k++) {
      double s = strength[region[k]];
      double x = region[k] % w - mx;
      double y = region[k] / w - my;
      xx += s * x * x;
      yy += s * y * y;
      xy += s * x * y;
    }
    double angle = Math.atan2(2 * xy, xx - yy) / 2;
    double dx = Math.cos(angle);
    double dy = Math.sin(angle);
    double from = 0;
    double to = 0;
    double left = 0;
    double right = 0;
    for (int k = 0; k < n; k++) {
      double x = region[k] % w - mx;
      double y = region[k] / w - my;
      double along = x * dx + y * dy;
      double across = y * dx - x * dy;
      from = Math.min(from, along);
      to = Math.max(to, along);
      left = Math.min(left, across);
      right = Math.max(right, across);
    }
    double box = (to - from + 1) * (right - left + 1);
    if (n < DENSE * box) {
      return null;
    }
    return new double[] {mx + from * dx, my + from * dy, mx + to * dx, my + to * dy};
  }
}
