package illuminar.core.geometry;

import illuminar.core.picture.Plane;
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

  private static final double MOST_TURN = 8;
  private static final double MOST_PITCH = 12;
  private static final double GRID = 0.75;

  /** Leans within which edges count, degrees, from round to round. */
  private static final double[] WITHIN = {1.5, 0.8, 0.5, 0.35, 0.35};

  private static final int LEAST_EDGES = 5;

  /** Long edges: their lengths together, and how far apart they stand. */
  private static final double LEAST_LENGTH = 0.6;

  private static final double LEAST_SPREAD = 0.25;

  private final Agreeing edges;
  private final Geometry start;
  private final int width;
  private final int height;

  private Plumb(Plane tones, Geometry start, int width, int height) {
    this.start = start;
    this.width = width;
    this.height = height;
    edges = new Agreeing(tones, true, start, width, height);
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
    if (edges.lines().isEmpty()) {
      return new Found(start, 0, 0, 0, false);
    }
    Geometry at = best();
    List<Upright.Line> fit = List.of();
    for (double within : WITHIN) {
      fit = edges.fitting(at, within);
      if (fit.size() < 2) {
        return new Found(start, fit.size(), 0, 0, false);
      }
      Geometry next = Upright.of(at, fit, width, height);
      at = start.turned(next.turn(), next.pitch(), start.yaw());
    }
    Places now = edges.places(start);
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
    return new Found(at, fit.size(), edges.lean(start, fit), edges.lean(at, fit), sure);
  }

  private Geometry best() {
    Geometry best = start;
    double most = -1;
    for (double turn = -MOST_TURN; turn <= MOST_TURN; turn += GRID) {
      for (double pitch = -MOST_PITCH; pitch <= MOST_PITCH; pitch += GRID) {
        Geometry g = start.turned(turn, pitch, start.yaw());
        double score = edges.score(g);
        if (score > most) {
          most = score;
          best = g;
        }
      }
    }
    return best;
  }
}
