package illuminar.core.geometry;

import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The straight edges of a picture that may be plumb, or level, and how well a geometry suits them.
 */
final class Agreeing {
  /** Edges that lean more are neither in any room that was meant to be upright, degrees. */
  private static final double STEEPEST = 20;

  /** Lean at which an edge counts half, degrees. */
  private static final double HALF = 0.6;

  private final List<Upright.Line> lines;
  private final boolean plumb;
  private final int width;
  private final int height;

  /**
   * @param tones of the whole view as they are seen, 0 to 1
   * @param plumb whether edges are sought that may be plumb; else level
   */
  Agreeing(Plane tones, boolean plumb, Geometry start, int width, int height) {
    this.plumb = plumb;
    this.width = width;
    this.height = height;
    Places now = places(start);
    lines =
        Segments.of(tones).stream()
            .filter(l -> Math.abs(Upright.lean(now, l, plumb)) < STEEPEST)
            .sorted(Comparator.comparingDouble(l -> -Upright.length(now, l)))
            .limit(Upright.MOST_LINES)
            .toList();
  }

  List<Upright.Line> lines() {
    return lines;
  }

  Places places(Geometry g) {
    return new Places(g, width, height);
  }

  /** How much of the edges' length a geometry makes plumb, or level. */
  double score(Geometry g) {
    Places p = places(g);
    double score = 0;
    for (Upright.Line l : lines) {
      double lean = Upright.lean(p, l, plumb) / HALF;
      score += Upright.length(p, l) / (1 + lean * lean);
    }
    return score;
  }

  /** The edges that lean by less than so many degrees. */
  List<Upright.Line> fitting(Geometry g, double within) {
    Places p = places(g);
    List<Upright.Line> fit = new ArrayList<>();
    for (Upright.Line l : lines) {
      if (Math.abs(Upright.lean(p, l, plumb)) < within) {
        fit.add(l);
      }
    }
    return fit;
  }

  /** What edges lean by, degrees, in the mean of their lengths. */
  double lean(Geometry g, List<Upright.Line> all) {
    Places p = places(g);
    double sum = 0;
    double length = 0;
    for (Upright.Line l : all) {
      double n = Upright.length(p, l);
      sum += n * Math.abs(Upright.lean(p, l, plumb));
      length += n;
    }
    return sum / length;
  }
}
