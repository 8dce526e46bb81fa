package illuminar.core.pass.kinds;

import illuminar.core.filter.MonotoneCubic;
import illuminar.core.pass.Channels;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.work.ByTone;
import illuminar.core.picture.Point;
import java.util.List;

/**
 * A curve over the tones in stops below white.
 *
 * <p>Monotone cubic through its points (Fritsch and Butland 1984); beyond the outer ones the gain
 * stays what it is there.
 *
 * @param on what it works on
 * @param points x: stops in, y: stops out, both {@value #LEAST} to {@value #MOST}; 2 to 16 with x
 *     rising by at least 0.1
 */
@Kind(
    id = "curve",
    name = "Curve",
    stage = Stage.TONE,
    help = "Each tone where you want it, by points on a curve",
    sentence = "Bend the tone curve of {region} by {on}")
public record ToneCurve(Channels on, List<Point> points) implements Move {
  public static final double LEAST = -12;
  public static final double MOST = 1;
  private static final int MANY = 16;

  public ToneCurve {
    points = List.copyOf(points);
    if (points.size() < 2 || points.size() > MANY) {
      throw new IllegalArgumentException("a curve has 2 to " + MANY + " points");
    }
    for (int i = 0; i < points.size(); i++) {
      Point p = points.get(i);
      if (Math.min(p.x(), p.y()) < LEAST || Math.max(p.x(), p.y()) > MOST) {
        throw new IllegalArgumentException("the points of a curve lie between −12 and 1 stops");
      }
      if (i > 0 && p.x() - points.get(i - 1).x() < 0.0999) {
        throw new IllegalArgumentException(
            "the points of a curve follow one another from dark to light, 0.1 stops apart");
      }
    }
  }

  /** Stops out for stops in. */
  public double at(double stops) {
    Point first = points.get(0);
    Point last = points.get(points.size() - 1);
    if (stops <= first.x()) {
      return stops + first.y() - first.x();
    }
    if (stops >= last.x()) {
      return stops + last.y() - last.x();
    }
    return cubic().at(stops);
  }

  private MonotoneCubic cubic() {
    return new MonotoneCubic(
        points.stream().mapToDouble(Point::x).toArray(),
        points.stream().mapToDouble(Point::y).toArray());
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new ByTone(this::at).on(on, below);
  }
}
