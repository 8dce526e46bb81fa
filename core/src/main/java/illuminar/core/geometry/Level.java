package illuminar.core.geometry;

import illuminar.core.picture.Plane;
import java.util.List;

/**
 * Finds how far a camera that stands upright was turned from the wall in front: straight edges that
 * agree on where level is, those of the wall that most of them belong to. Where walls meet in the
 * middle of a picture only one of them can lie level.
 */
public final class Level {
  /**
   * What was found.
   *
   * @param edges how many level edges agree
   * @param before what those lean by that tell of it, degrees, in the mean of their lengths
   * @param after the same with the geometry
   * @param sure whether they are enough, and far enough from the middle's height, to be trusted
   */
  public record Found(Geometry geometry, int edges, double before, double after, boolean sure) {}

  private static final double MOST_YAW = 20;
  private static final double GRID = 0.25;

  /** Leans within which edges count, degrees, from round to round. */
  private static final double[] WITHIN = {1.5, 0.8, 0.5, 0.35, 0.35};

  /** Degrees by which the camera is turned to see what an edge leans by. */
  private static final double STEP = 0.5;

  /** Degrees by which an edge turns with the camera's degree, at least, if it tells anything. */
  private static final double TELLING = 0.08;

  private static final int LEAST_EDGES = 5;

  /** Long edges: the lengths of those that tell together. */
  private static final double LEAST_LENGTH = 0.5;

  private final Agreeing edges;
  private final Geometry start;

  private Level(Plane tones, Geometry start, int width, int height) {
    this.start = start;
    edges = new Agreeing(tones, false, start, width, height);
  }

  /**
   * How a picture is to be turned about its plumb line so that its level edges are level.
   *
   * @param tones of the whole view as they are seen, 0 to 1
   * @param start in which walls stand upright; of it all but the yaw stays
   */
  public static Found of(Plane tones, Geometry start, int width, int height) {
    return new Level(tones, start, width, height).found();
  }

  private Geometry yawed(double yaw) {
    return start.turned(start.turn(), start.pitch(), yaw);
  }

  private Found found() {
    double yaw = best();
    List<Upright.Line> telling = List.of();
    for (double within : WITHIN) {
      Places p = edges.places(yawed(yaw));
      Places other = edges.places(yawed(yaw + STEP));
      telling =
          edges.fitting(yawed(yaw), within).stream()
              .filter(l -> Math.abs(slope(l, p, other)) > TELLING)
              .toList();
      if (telling.size() < 2) {
        return new Found(start, telling.size(), 0, 0, false);
      }
      yaw += step(telling, p, other);
    }
    Geometry at = yawed(Math.max(-MOST_YAW, Math.min(MOST_YAW, yaw)));
    Places now = edges.places(start);
    double together = 0;
    for (Upright.Line l : telling) {
      together += Upright.length(now, l);
    }
    boolean sure = telling.size() >= LEAST_EDGES && together >= LEAST_LENGTH;
    return new Found(at, telling.size(), edges.lean(start, telling), edges.lean(at, telling), sure);
  }

  private double best() {
    double best = 0;
    double most = -1;
    for (double yaw = -MOST_YAW; yaw <= MOST_YAW; yaw += GRID) {
      double score = edges.score(yawed(yaw));
      if (score > most) {
        most = score;
        best = yaw;
      }
    }
    return best;
  }

  /** Degrees by which an edge turns with a degree of the camera. */
  private static double slope(Upright.Line l, Places p, Places other) {
    return (Upright.lean(other, l, false) - Upright.lean(p, l, false)) / STEP;
  }

  /** The step of Gauss and Newton, edges weighed by their lengths. */
  private static double step(List<Upright.Line> lines, Places p, Places other) {
    double against = 0;
    double along = 0;
    for (Upright.Line l : lines) {
      double slope = slope(l, p, other);
      against += Upright.length(p, l) * slope * Upright.lean(p, l, false);
      along += Upright.length(p, l) * slope * slope;
    }
    return along == 0 ? 0 : -against / along;
  }
}
