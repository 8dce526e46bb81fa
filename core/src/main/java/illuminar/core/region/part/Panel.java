package illuminar.core.region.part;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Four corners with soft edges, such as a panel of light.
 *
 * <p>Four corners; the share follows the distance to the line round them.
 *
 * @param softness pixels at full size over which it fades, half of them inside its line, 0 to 1000
 */
@PartKind(id = "panel", name = "Panel")
public record Panel(
    List<Point> corners,
    @Control(label = "Softness", unit = "px", from = 0, to = 1000, step = 1, defaultValue = 40)
        double softness)
    implements Shape {
  public Panel {
    corners = List.copyOf(corners);
    if (corners.size() != 4) {
      throw new IllegalArgumentException("a panel has four corners, not " + corners.size());
    }
    Numbers.check(Panel.class, "softness", softness);
  }

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new Panel(corners.stream().map(to).toList(), softness);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, raster, sources.longEdge());
  }

  private static float[] draw(Panel panel, Raster raster, int longEdge) {
    double[] x = new double[4];
    double[] y = new double[4];
    for (int k = 0; k < 4; k++) {
      x[k] = panel.corners().get(k).x() * longEdge;
      y[k] = panel.corners().get(k).y() * longEdge;
    }
    double fade = Math.max(panel.softness(), 1 / raster.scale());
    float[] out = new float[raster.pixels()];
    for (int j = 0; j < raster.height(); j++) {
      for (int i = 0; i < raster.width(); i++) {
        double px = raster.fullX(i) + 0.5;
        double py = raster.fullY(j) + 0.5;
        out[j * raster.width() + i] = Ease.between(0.5 + inside(x, y, px, py) / fade);
      }
    }
    return out;
  }

  /** Distance to the line, negative outside by the even-odd rule. */
  private static double inside(double[] x, double[] y, double px, double py) {
    double nearest = Double.MAX_VALUE;
    boolean in = false;
    for (int k = 0, p = 3; k < 4; p = k++) {
      double dx = x[k] - x[p];
      double dy = y[k] - y[p];
      double length = dx * dx + dy * dy;
      double t =
          length == 0
              ? 0
              : Math.max(0, Math.min(1, ((px - x[p]) * dx + (py - y[p]) * dy) / length));
      nearest = Math.min(nearest, Math.hypot(px - x[p] - t * dx, py - y[p] - t * dy));
      if (y[k] > py != y[p] > py && px < (x[p] - x[k]) * (py - y[k]) / (y[p] - y[k]) + x[k]) {
        in = !in;
      }
    }
    return in ? nearest : -nearest;
  }
}
