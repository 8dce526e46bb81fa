package illuminar.core.geometry;

import illuminar.core.algebra.Cholesky;
import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Turns the camera so that lines which are plumb or level in the room are so in the picture: the
 * turn, pitch and yaw with the least squares of what the lines lean by, after Gauss and Newton.
 */
public final class Upright {
  /** A line of the view that is plumb or level in the room. */
  public record Line(Point from, Point to) {}

  /** A geometry, and lines that lean with it. */
  public record Leaning(Geometry geometry, List<Line> lines) {}

  public static final int MOST_LINES = 200;

  private static final int ROUNDS = 30;
  private static final double LEAST_LENGTH = 0.01;

  /** Pull towards no turn at all, for what the lines leave open. */
  private static final double PULL = 1e-7;

  private static final double STEP = 1e-4;

  private final Geometry start;
  private final List<Line> plumb = new ArrayList<>();
  private final List<Line> level = new ArrayList<>();
  private final int width;
  private final int height;

  private Upright(Geometry start, List<Line> lines, int width, int height) {
    this.start = start;
    this.width = width;
    this.height = height;
    double longEdge = Math.max(width, height);
    Places now = new Places(start, width, height);
    for (Line line : lines) {
      Point a = now.toPlane(line.from());
      Point b = now.toPlane(line.to());
      if (Math.hypot(b.x() - a.x(), b.y() - a.y()) < LEAST_LENGTH) {
        throw new IllegalArgumentException(
            "a line to straighten by needs at least "
                + Math.round(LEAST_LENGTH * longEdge)
                + " pixels");
      }
      (Math.abs(b.y() - a.y()) > Math.abs(b.x() - a.x()) ? plumb : level).add(line);
    }
  }

  /**
   * The geometry with which lines are plumb, or level, whichever they are nearer to. One line turns
   * the picture; two of a kind also set it upright that way.
   *
   * @param lines 1 to {@value #MOST_LINES}
   * @throws IllegalArgumentException for no lines, or one that is too short
   */
  public static Geometry of(Geometry start, List<Line> lines, int width, int height) {
    if (lines.isEmpty() || lines.size() > MOST_LINES) {
      throw new IllegalArgumentException(
          "a picture is straightened by 1 to " + MOST_LINES + " lines");
    }
    return new Upright(start, lines, width, height).solved();
  }

  private Geometry solved() {
    boolean pitch = plumb.size() > 1;
    boolean yaw = level.size() > 1;
    double[] v = {start.turn(), start.pitch(), start.yaw()};
    boolean[] free = {true, pitch, yaw};
    for (int round = 0; round < ROUNDS; round++) {
      double[] lean = leans(v);
      double[][] slope = new double[3][];
      for (int k = 0; k < 3; k++) {
        double[] other = v.clone();
        other[k] += STEP;
        slope[k] = leans(other);
        for (int i = 0; i < lean.length; i++) {
          slope[k][i] = free[k] ? (slope[k][i] - lean[i]) / STEP : 0;
        }
      }
      double[] by = step(lean, slope, v);
      double most = 0;
      for (int k = 0; k < 3; k++) {
        v[k] += free[k] ? by[k] : 0;
        most = Math.max(most, Math.abs(by[k]));
      }
      if (most < 1e-6) {
        break;
      }
    }
    return turned(v);
  }

  private Geometry turned(double[] v) {
    return start.turned(within(v[0], 45), within(v[1], 20), within(v[2], 20));
  }

  private static double within(double v, double most) {
    return Math.max(-most, Math.min(most, v));
  }

  /** What each line leans by, degrees, weighed by its length. */
  private double[] leans(double[] v) {
    Places p = new Places(turned(v), width, height);
    double[] lean = new double[plumb.size() + level.size()];
    int n = 0;
    for (Line line : plumb) {
      lean[n++] = lean(p, line, true) * Math.sqrt(length(p, line));
    }
    for (Line line : level) {
      lean[n++] = lean(p, line, false) * Math.sqrt(length(p, line));
    }
    return lean;
  }

  /** What a line leans by, degrees. */
  static double lean(Places p, Line line, boolean plumb) {
    Point a = p.toPlane(line.from());
    Point b = p.toPlane(line.to());
    double x = b.x() - a.x();
    double y = b.y() - a.y();
    return Math.toDegrees(plumb ? Math.atan(x / y) : Math.atan(y / x));
  }

  /** How long a line is in the plane, long edges. */
  static double length(Places p, Line line) {
    Point a = p.toPlane(line.from());
    Point b = p.toPlane(line.to());
    return Math.hypot(b.x() - a.x(), b.y() - a.y());
  }

  /** The step of Gauss and Newton. */
  private static double[] step(double[] lean, double[][] slope, double[] v) {
    double[][] m = new double[3][3];
    double[] r = new double[3];
    for (int k = 0; k < 3; k++) {
      for (int n = 0; n < 3; n++) {
        for (int i = 0; i < lean.length; i++) {
          m[k][n] += slope[k][i] * slope[n][i];
        }
      }
      for (int i = 0; i < lean.length; i++) {
        r[k] -= slope[k][i] * lean[i];
      }
      m[k][k] += PULL;
      r[k] -= PULL * v[k];
    }
    return Cholesky.solve(m, r);
  }
}
