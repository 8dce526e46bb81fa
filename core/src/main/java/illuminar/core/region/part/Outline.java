package illuminar.core.region.part;

import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.PartKind;
import illuminar.core.region.Polygon;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * A closed line through points; filled by the non-zero rule, so it may cross itself.
 *
 * <p>Fills outlines with anti-aliased edges: exact along rows, eight samples down each pixel.
 */
@PartKind(id = "outline", name = "Outline")
public record Outline(List<Point> points, boolean smooth) implements Shape {
  /** Straight steps from one point of a smooth outline to the next. */
  private static final int SPANS = 16;

  public Outline {
    points = List.copyOf(points);
    if (points.size() > 5000) {
      throw new IllegalArgumentException("an outline holds at most 5000 points");
    }
  }

  /** With straight sides. */
  public Outline(List<Point> points) {
    this(points, false);
  }

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new Outline(points.stream().map(to).toList(), smooth);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, raster, sources.longEdge());
  }

  /** Coverage of an outline; a smooth one runs through its points in a curve. */
  private static float[] draw(Outline outline, Raster raster, int longEdge) {
    List<Point> points = outline.points();
    return Polygon.cover(
        outline.smooth() && points.size() > 2 ? curved(points) : points, raster, longEdge);
  }

  /** A closed curve through points, each span in short straight steps (Catmull and Rom 1974). */
  private static List<Point> curved(List<Point> p) {
    List<Point> out = new ArrayList<>();
    int n = p.size();
    for (int k = 0; k < n; k++) {
      Point a = p.get((k + n - 1) % n);
      Point b = p.get(k);
      Point c = p.get((k + 1) % n);
      Point d = p.get((k + 2) % n);
      for (int i = 0; i < SPANS; i++) {
        double t = i / (double) SPANS;
        out.add(
            new Point(
                spline(a.x(), b.x(), c.x(), d.x(), t), spline(a.y(), b.y(), c.y(), d.y(), t)));
      }
    }
    return out;
  }

  private static double spline(double a, double b, double c, double d, double t) {
    return 0.5
        * (2 * b
            + (c - a) * t
            + (2 * a - 5 * b + 4 * c - d) * t * t
            + (3 * b - a - 3 * c + d) * t * t * t);
  }
}
