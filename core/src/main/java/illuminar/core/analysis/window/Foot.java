package illuminar.core.analysis.window;

import static illuminar.core.analysis.window.WindowLight.BRIGHT;
import static illuminar.core.analysis.window.WindowLight.DARK;

import illuminar.core.picture.Plane;

/**
 * Where a window ends below: above a wall under which the floor mirrors it, above a seat or a sill,
 * and as deep as a window in line with it. Our own rules.
 */
final class Foot {
  /** How far the tops of windows in line lie apart at most, as a share of the long edge. */
  private static final double IN_LINE = 0.01;

  /** How much wider one of them is at most, as a logarithm. */
  private static final double AS_WIDE = 0.3;

  /** Stops below the brightest of a window at which nothing of a row is seen through it. */
  private static final float DEEP = 5;

  /** Share of the picture's height down to which what the floor mirrors reaches. */
  private static final double FLOOR = 0.85;

  /** Stops by which a wall between window and mirror image is darker than both. */
  private static final float DIM = 1.2f;

  /** Share of a window's height that is left above a band of wall at least. */
  private static final double LEFT = 0.15;

  private final WindowLight light;
  private final float seen;

  /**
   * @param stops light, log2
   * @param wall light of what the window stands in, log2
   * @param room median light of the whole picture, log2
   */
  Foot(Plane stops, float wall, float room) {
    light = new WindowLight(stops);
    seen = Math.max(wall, room) + Extent.SEEN;
  }

  /**
   * The part of a window above a band across it that is even, far darker than what it parts, and
   * too high for a rail, if all reaches down to the floor: below that wall the floor mirrors the
   * window.
   */
  Quad aboveWall(Quad window) {
    double from = Quad.at(window.bottom(), window.middle()[0]);
    if (from < FLOOR * light.height()) {
      return window;
    }
    float dim = Math.min(0, light.brightest(window)) - DIM;
    int band = 0;
    double mirror = Float.NEGATIVE_INFINITY;
    for (int below = 0; below > -(1 - LEFT) * window.high(); below--) {
      float[] row = light.row(window, below);
      mirror = Math.max(mirror, row[BRIGHT]);
      boolean dark = row[BRIGHT] < Math.min(dim, mirror - DIM);
      boolean even = row[BRIGHT] - row[DARK] < 1;
      band = dark && even ? band + 1 : 0;
      if (band > light.rail()) {
        int top = below;
        while (top > -window.high() && light.row(window, top - 1)[BRIGHT] < dim) {
          top--;
        }
        double[] bottom = {window.bottom()[0] + top, window.bottom()[1]};
        return new Quad(window.left(), window.right(), window.top(), bottom);
      }
    }
    return window;
  }

  /** The window less what lies far darker along its bottom, as a seat or a sill does. */
  Quad withoutSill(Quad window) {
    float least = light.brightest(window) - DEEP;
    double up = 0;
    while (up < window.high() / 2 && light.row(window, -up)[BRIGHT] < least) {
      up++;
    }
    double[] bottom = window.bottom();
    return new Quad(
        window.left(), window.right(), window.top(), new double[] {bottom[0] - up, bottom[1]});
  }

  /**
   * The window down to the bottom of another beside it, as wide and with its top in line, if both
   * its sides go on to there and what lies between them stands over wall and room; else as it is.
   */
  Quad asFarAs(Quad other, Quad window) {
    double x = window.middle()[0];
    double top = Quad.at(window.top(), x);
    double bottom = Quad.at(window.bottom(), x);
    double to = Quad.at(other.bottom(), x);
    boolean inLine = Math.abs(Quad.at(other.top(), x) - top) < IN_LINE * light.longEdge();
    boolean asWide = Math.abs(Math.log(window.wide() / other.wide())) < AS_WIDE;
    if (!inLine || !asWide || to < bottom + light.rail() || to > light.height() - 2) {
      return window;
    }
    int on = 0;
    int rows = 0;
    for (double y = bottom + 1; y < to; y++, rows++) {
      boolean sides =
          light.edge(Quad.at(window.left(), y), y) && light.edge(Quad.at(window.right(), y), y);
      on += sides && light.row(window, y - bottom)[DARK] > seen ? 1 : 0;
    }
    return on < Extent.MANY * rows
        ? window
        : new Quad(window.left(), window.right(), window.top(), other.bottom());
  }
}
