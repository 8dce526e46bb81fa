package illuminar.core.region.part;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.PartKind;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Brush strokes in the order they were made.
 *
 * @param ceiling the most that strokes build up to, 0 to 1
 * @param limit id of the region that alone takes paint; empty for everywhere
 */
@PartKind(id = "brush", name = "Brush")
public record Brush(
    List<Stroke> strokes,
    @Control(
            label = "Ceiling",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "The most that strokes build up to")
        double ceiling,
    String limit)
    implements Shape {
  /** Strokes that one brush part may hold. */
  public static final int MOST_STROKES = 10_000;

  public Brush {
    strokes = List.copyOf(strokes);
    if (strokes.size() > MOST_STROKES) {
      throw new IllegalArgumentException("a brush holds at most " + MOST_STROKES + " strokes");
    }
    Numbers.check(Brush.class, "ceiling", ceiling);
  }

  /** Everywhere, up to full cover. */
  public Brush(List<Stroke> strokes) {
    this(strokes, 1, "");
  }

  @Override
  public boolean needsGround() {
    return strokes.stream().anyMatch(s -> s.stop() > 0);
  }

  /**
   * One stroke.
   *
   * @param radius half the brush's size
   * @param softness share of the radius over which it fades, 0 hard to 1 soft
   * @param flow how strongly the stroke covers, 0 to 1
   * @param takeAway whether it rubs out
   * @param stop CIE 1976 colour difference of the ground from what lies under the brush's centre at
   *     which paint stops, 0 for nowhere, to 100
   * @param path where it went, as {@link DrawnLine} writes it
   */
  public record Stroke(
      double radius, double softness, double flow, boolean takeAway, double stop, String path) {
    public Stroke {
      if (!(radius > 0 && radius <= 1)
          || !(softness >= 0 && softness <= 1)
          || !(flow >= 0 && flow <= 1)) {
        throw new IllegalArgumentException("no such brush: size, softness or flow is out of range");
      }
      Region.check("stop", stop, 0, 100, "");
      DrawnLine.check(path);
    }

    Stroke moved(UnaryOperator<Point> to) {
      String there = DrawnLine.read(path).moved(to).write();
      return new Stroke(radius, softness, flow, takeAway, stop, there);
    }

    /** That stops nowhere. */
    public Stroke(
        double radius, double softness, double flow, boolean takeAway, List<Point> points) {
      this(radius, softness, flow, takeAway, 0, DrawnLine.write(points));
    }
  }

  @Override
  public List<String> regions() {
    return limit.isEmpty() ? List.of() : List.of(limit);
  }

  @Override
  public int pieces() {
    return strokes.size();
  }

  @Override
  public Shape withPieces(List<Integer> left) {
    return new Brush(left.stream().map(strokes::get).toList(), ceiling, limit);
  }

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new Brush(strokes.stream().map(s -> s.moved(to)).toList(), ceiling, limit);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return BrushStrokes.draw(this, raster, in, sources);
  }
}
