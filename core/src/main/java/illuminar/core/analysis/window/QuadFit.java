package illuminar.core.analysis.window;

import illuminar.core.picture.Plane;
import java.util.Arrays;

/** Four straight sides about a piece of bright pixels, and how well they fit it. */
final class QuadFit {
  /** Rise of an upright side per row at most; cameras stand nearly level. */
  private static final double UPRIGHT = 0.16;

  /** The same of a level side per column, which runs away from the camera on side walls. */
  private static final double LEVEL = 0.75;

  /** Share of the rows or columns that must end on each side. */
  private static final double ON_SIDE = 0.45;

  /** Share of the four sides' area that must be bright. */
  private static final double FILLED = 0.7;

  /** Share of the piece that may lie outside. */
  private static final double LEAKED = 0.1;

  /** Pixels off a side within which a row ends on it. */
  private static final double NEAR = 1.3;

  private static final int SAMPLES = 48;

  /** Stops by which light falls from the inside of a side outwards at least. */
  private static final double FALLS = 0.5;

  /** Sides of a window at which it may not. */
  private static final int LOST = 2;

  private final Plane stops;
  private final int w;
  private final int h;

  /**
   * @param stops light, log2
   */
  QuadFit(Plane stops) {
    this.stops = stops;
    w = stops.width();
    h = stops.height();
  }

  /**
   * The sides of a piece.
   *
   * @param piece indices of its pixels
   * @return null where no four straight sides hold it
   */
  Quad of(int[] piece) {
    int x0 = w;
    int y0 = h;
    int x1 = 0;
    int y1 = 0;
    for (int i : piece) {
      x0 = Math.min(x0, i % w);
      x1 = Math.max(x1, i % w + 1);
      y0 = Math.min(y0, i / w);
      y1 = Math.max(y1, i / w + 1);
    }
    if (x1 - x0 < 4 || y1 - y0 < 4) {
      return null;
    }
    Ends rows = new Ends(y0, y1);
    Ends columns = new Ends(x0, x1);
    for (int i : piece) {
      rows.note(i / w, i % w);
      columns.note(i % w, i / w);
    }
    double[] left = x0 == 0 ? new double[] {0, 0} : rows.line(false, UPRIGHT);
    double[] right = x1 == w ? new double[] {w, 0} : rows.line(true, UPRIGHT);
    double[] top = y0 == 0 ? new double[] {0, 0} : columns.line(false, LEVEL);
    double[] bottom = y1 == h ? new double[] {h, 0} : columns.line(true, LEVEL);
    if (left == null || right == null || top == null || bottom == null) {
      return null;
    }
    Quad quad = new Quad(left, right, top, bottom);
    return fits(quad, piece) ? quad : null;
  }

  private boolean fits(Quad quad, int[] piece) {
    int inside = 0;
    int leaked = 0;
    for (int i : piece) {
      double depth = quad.depth(i % w + 0.5, i / w + 0.5);
      inside += depth > 0 ? 1 : 0;
      leaked += depth < -1.5 ? 1 : 0;
    }
    return quad.wide() > 3
        && quad.high() > 3
        && inside > FILLED * quad.size()
        && leaked < LEAKED * piece.length;
  }

  /** Where each row, or column, of a piece begins and ends. */
  private static final class Ends {
    private final int from;
    private final double[] first;
    private final double[] last;

    Ends(int from, int to) {
      this.from = from;
      first = new double[to - from];
      last = new double[to - from];
      Arrays.fill(first, Double.MAX_VALUE);
    }

    void note(int row, int at) {
      first[row - from] = Math.min(first[row - from], at);
      last[row - from] = Math.max(last[row - from], at + 1);
    }

    /** The line on which most rows begin or end; null where too few do, or it is too steep. */
    double[] line(boolean far, double steepest) {
      int n = first.length;
      double[] at = new double[n];
      double[] end = new double[n];
      int m = 0;
      for (int k = 0; k < n; k++) {
        if (first[k] < Double.MAX_VALUE) {
          at[m] = from + k + 0.5;
          end[m++] = far ? last[k] : first[k];
        }
      }
      double[] line = LineFit.commonest(at, end, m);
      if (Double.isNaN(line[0])) {
        return null;
      }
      line = LineFit.weighted(at, end, m, line);
      int on = 0;
      for (int k = 0; k < m; k++) {
        on += Math.abs(end[k] - line[0] - line[1] * at[k]) < NEAR ? 1 : 0;
      }
      return on < ON_SIDE * m || Math.abs(line[1]) > steepest ? null : line;
    }
  }

  /**
   * Stops by which light falls from the inside of each side to what bounds it: left, right, top,
   * bottom; not a number where the picture ends.
   */
  double[] contrast(Quad q) {
    double[] m = q.middle();
    double wide = q.wide();
    double high = q.high();
    return new double[] {
      across(q.left(), m[1], high, true, -1),
      across(q.right(), m[1], high, true, 1),
      across(q.top(), m[0], wide, false, -1),
      across(q.bottom(), m[0], wide, false, 1)
    };
  }

  /**
   * Whether sides lie where light falls, all but two: a curtain or a lit reveal may hide one. Sides
   * that were carried on over an even place are those of no window.
   */
  boolean bounded(Quad q) {
    return Arrays.stream(contrast(q)).filter(c -> c < FALLS).count() <= LOST;
  }

  private double across(double[] line, double middle, double length, boolean upright, int outward) {
    double[] found = new double[SAMPLES];
    int n = 0;
    for (int k = 0; k < SAMPLES; k++) {
      double along = middle + length * 0.8 * ((k + 0.5) / SAMPLES - 0.5);
      double side = Quad.at(line, along);
      double out = Double.POSITIVE_INFINITY;
      for (double d = 1.5; d < 5; d++) {
        out = Math.min(out, at(along, side + outward * d, upright));
      }
      double in = at(along, side - outward * 2.5, upright);
      if (!Double.isNaN(in) && out < Double.POSITIVE_INFINITY) {
        found[n++] = in - out;
      }
    }
    Arrays.sort(found, 0, n);
    return n < SAMPLES / 3 ? Double.NaN : found[n / 2];
  }

  private double at(double along, double across, boolean upright) {
    int x = (int) Math.floor(upright ? across : along);
    int y = (int) Math.floor(upright ? along : across);
    return x < 0 || y < 0 || x >= w || y >= h ? Double.NaN : stops.at(x, y);
  }

  /** The sides where light is half way between what bounds a pane and what is seen through it. */
  Quad refined(Quad q) {
    double[] m = q.middle();
    return new Quad(
        refined(q.left(), m[1], q.high(), true, -1),
        refined(q.right(), m[1], q.high(), true, 1),
        refined(q.top(), m[0], q.wide(), false, -1),
        refined(q.bottom(), m[0], q.wide(), false, 1));
  }

  private double[] refined(
      double[] line, double middle, double length, boolean upright, int outward) {
    int n = Math.max(8, (int) (0.9 * length));
    double[] at = new double[n];
    double[] end = new double[n];
    int found = 0;
    for (int k = 0; k < n; k++) {
      double along = middle + 0.9 * length * ((k + 0.5) / n - 0.5);
      double cross = crossing(Quad.at(line, along), along, upright, outward);
      if (!Double.isNaN(cross)) {
        at[found] = along;
        end[found++] = cross;
      }
    }
    double[] better = found < 8 ? line : LineFit.commonest(at, end, found);
    if (Double.isNaN(better[0])) {
      return line;
    }
    better = LineFit.weighted(at, end, found, better);
    boolean same =
        Math.abs(Quad.at(better, middle) - Quad.at(line, middle)) < 4
            && Math.abs(better[1] - line[1]) < 0.1;
    return same ? better : line;
  }

  /** Where light crosses half way near a side, in linear light; not a number if it does not. */
  private double crossing(double side, double along, boolean upright, int outward) {
    double in = at(along, side - outward * 3.5, upright);
    double out = Double.POSITIVE_INFINITY;
    for (double d = 1; d < 6; d++) {
      out = Math.min(out, at(along, side + outward * d, upright));
    }
    if (Double.isNaN(in) || out == Double.POSITIVE_INFINITY || in - out < 0.6) {
      return Double.NaN;
    }
    double half = (Math.pow(2, in) + Math.pow(2, out)) / 2;
    double before = Double.NaN;
    for (double d = -4; d <= 6; d++) {
      // middles of pixels, so that the crossing lies between two of them
      double across = Math.floor(side) + 0.5 + outward * d;
      double light = Math.pow(2, at(along, across, upright));
      if (before >= half && light < half) {
        return across - outward * (half - light) / (before - light);
      }
      before = light;
    }
    return Double.NaN;
  }
}
