package illuminar.benchmarks;

import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Something that has to be taken out of a picture: lines of a width, in shares of the picture's
 * width from a place.
 *
 * @param large whether it is filled from pieces
 */
record Thing(String name, boolean large, double radius, double[]... lines) {
  static final List<Thing> ALL =
      List.of(
          new Thing("dust", false, 0.0025, new double[] {0, 0, 0, 0}),
          new Thing("socket", false, 0.012, new double[] {0, 0, 0, 0.004}),
          new Thing("stain", false, 0.009, new double[] {0, 0, 0.018, 0.006, 0.03, 0.002}),
          new Thing(
              "crack",
              false,
              0.0015,
              new double[] {0, 0, 0.012, 0.016, 0.01, 0.034, 0.025, 0.06, 0.022, 0.08}),
          new Thing(
              "cable", true, 0.0025, new double[] {0, 0, 0.05, 0.02, 0.1, 0.022, 0.16, 0.012}),
          new Thing(
              "stand",
              true,
              0.005,
              new double[] {0, 0, 0, 0.2},
              new double[] {0, 0.14, 0.035, 0.2},
              new double[] {0, 0.14, -0.035, 0.2}));

  /** Its lines at a place, shares of the width. */
  List<Point[]> at(double x, double y) {
    List<Point[]> out = new ArrayList<>();
    for (double[] line : lines) {
      Point[] at = new Point[line.length / 2];
      for (int k = 0; k < at.length; k++) {
        at[k] = new Point(x + line[2 * k], y + line[2 * k + 1]);
      }
      out.add(at);
    }
    return out;
  }

  /** Pixels of a picture within a radius of lines. */
  static boolean[] covered(List<Point[]> lines, double radius, int w, int h) {
    boolean[] out = new boolean[w * h];
    for (Point[] line : lines) {
      for (int k = 1; k < line.length; k++) {
        double ax = line[k - 1].x() * w;
        double ay = line[k - 1].y() * w;
        double bx = line[k].x() * w;
        double by = line[k].y() * w;
        int y0 = (int) Math.max(0, Math.min(ay, by) - radius - 1);
        int y1 = (int) Math.min(h - 1, Math.max(ay, by) + radius + 1);
        int x0 = (int) Math.max(0, Math.min(ax, bx) - radius - 1);
        int x1 = (int) Math.min(w - 1, Math.max(ax, bx) + radius + 1);
        for (int y = y0; y <= y1; y++) {
          for (int x = x0; x <= x1; x++) {
            out[y * w + x] |= off(x + 0.5, y + 0.5, ax, ay, bx, by) <= radius;
          }
        }
      }
    }
    return out;
  }

  private static double off(double x, double y, double ax, double ay, double bx, double by) {
    double dx = bx - ax;
    double dy = by - ay;
    double n = dx * dx + dy * dy;
    double t = n == 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / n));
    return Math.hypot(x - ax - t * dx, y - ay - t * dy);
  }
}
