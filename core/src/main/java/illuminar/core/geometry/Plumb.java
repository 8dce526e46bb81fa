package illuminar.core.geometry;

import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Finds how a camera was turned and tilted from the plumb edges of a room: straight edges that
 * agree on where plumb is, tried on a grid and refined by those that fit ever better.
 */
public final class Plumb {
  /**
   * What was found.
   *
   * @param edges how many plumb edges agree
   * @param before what they lean by, degrees, in the mean of their lengths
   * @param after the same with the geometry
   * @param sure whether they are enough, and far enough apart, to be trusted
   */
  public record Found(Geometry geometry, int edges, double before, double after, boolean sure) {}

  /** Edges that lean more are not plumb in any room that was meant to be upright. */
  private static final double STEEPEST = 20;

  private static final double MOST_TURN = 8;
  private static final double MOST_PITCH = 12;
  private static final double GRID = 0.75;

  /** Lean at which an edge counts half, degrees. */
  private static final double HALF = 0.6;

  /** Leans within which edges count, degrees, from round to round. */
  private static final double[] WITHIN = {1.5, 0.8, 0.5, 0.35, 0.35};

  private static final int LEAST_EDGES = 5;

  /** Long edges: their lengths together, and how far apart they stand. */
  private static final double LEAST_LENGTH = 0.6;

  private static final double LEAST_SPREAD = 0.25;

  private final List<Upright.Line> lines;
  private final Geometry start;
  private final int width;
  private final int height;

  private Plumb(Plane tones, Geometry start, int width, int height) {
    this.start = start;
    this.width = width;
    this.height = height;
    Places now = new Places(start, width, height);
    lines =
        Segments.of(tones).stream()
            .filter(l -> Math.abs(Upright.lean(now, l, true)) < STEEPEST)
            .sorted(Comparator.comparingDouble(l -> -Upright.length(now, l)))
            .limit(Upright.MOST_LINES)
            .toList();
  }

  /**
   * How a picture is to be turned and set upright so that its plumb edges are plumb.
   *
   * @param tones of the whole view as they are seen, 0 to 1
   * @param start of which all else stays
   */
  public static Found of(Plane tones, Geometry start, int width, int height) {
    return new Plumb(tones, start, width, height).found();
  }

  private Found found() {
    if (lines.isEmpty()) {
      return new Found(start, 0, 0, 0, false);
    }
    Geometry at = best();
    List<Upright.Line> fit = List.of();
    for (double within : WITHIN) {
      fit = fitting(at, within);
      if (fit.size() < 2) {
        return new Found(start, fit.size(), 0, 0, false);
      }
      Geometry next = Upright.of(at, fit, width, height);
      at = start.turned(next.turn(), next.pitch(), start.yaw());
    }
    Places now = new Places(start, width, height);
    double together = 0;
    double left = 1;
    double right = 0;
    for (Upright.Line l : fit) {
      together += Upright.length(now, l);
      double x = (l.from().x() + l.to().x()) / 2;
      left = Math.min(left, x);
      right = Math.max(right, x);
    }
    boolean sure =
        fit.size() >= LEAST_EDGES && together >= LEAST_LENGTH && right - left >= LEAST_SPREAD;
    return new Found(at, fit.size(), lean(start, fit), lean(at, fit), sure);
  }

  private Geometry best() {
    Geometry best = start;
    double most = -1;
    for (double turn = -MOST_TURN; turn <= MOST_TURN; turn += GRID) {
      for (double pitch = -MOST_PITCH; pitch <= MOST_PITCH; pitch += GRID) {
        Geometry g = start.turned(turn, pitch, start.yaw());
        Places p = new Places(g, width, height);
        double score = 0;
        for (Upright.Line l : lines) {
          double lean = Upright.lean(p, l, true) / HALF;
          score += Upright.length(p, l) / (1 + lean * lean);
        }
        if (score > most) {
          most = score;
          best = g;
        }
      }
    }
    return best;
  }

  private List<Upright.Line> fitting(Geometry g, double within) {
    Places p = new Places(g, width, height);
    List<Upright.Line> fit = new ArrayList<>();
    for (Upright.Line l : lines) {
      if (Math.abs(Upright.lean(p, l, true)) < within) {
        fit.add(l);
      }
    }
    return fit;
  }

  private double lean(Geometry g, List<Upright.Line> all) {
    Places p = new Places(g, width, height);
    double sum = 0;
    double length = 0;
    for (Upright.Line l : all) {
      double n = Upright.length(p, l);
      sum += n * Math.abs(Upright.lean(p, l, true));
      length += n;
    }
    return sum / length;
  }
}
