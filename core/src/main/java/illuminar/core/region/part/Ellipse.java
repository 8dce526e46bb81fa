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
import java.util.function.UnaryOperator;

/**
 * An ellipse.
 *
 * <p>A turned ellipse that fades towards its edge; a hard one is anti-aliased.
 *
 * @param wide half its width before it is turned, above 0
 * @param high half its height
 * @param turn degrees, clockwise
 * @param softness share of the way from its edge to its centre over which it fades, 0 to 1
 */
@PartKind(id = "ellipse", name = "Ellipse")
public record Ellipse(
    Point centre,
    double wide,
    double high,
    @Control(label = "Turn", unit = "°", from = -180, to = 180, step = 1, defaultValue = 0)
        double turn,
    @Control(label = "Softness", unit = "%", from = 0, to = 1, step = 0.01, defaultValue = 0.5)
        double softness)
    implements Shape {
  public Ellipse {
    if (!(wide > 0 && high > 0 && wide <= 4 && high <= 4)) {
      throw new IllegalArgumentException("an ellipse needs a width and a height");
    }
    Numbers.check(Ellipse.class, "turn", turn);
    Numbers.check(Ellipse.class, "softness", softness);
  }

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new Ellipse(to.apply(centre), wide, high, turn, softness);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, raster, sources.longEdge());
  }

  private static float[] draw(Ellipse e, Raster raster, int longEdge) {
    double cos = Math.cos(Math.toRadians(e.turn()));
    double sin = Math.sin(Math.toRadians(e.turn()));
    double wide = e.wide() * longEdge;
    double high = e.high() * longEdge;
    // at least one raster pixel of fading, half of it outside
    double least = 1 / (raster.scale() * Math.min(wide, high));
    double soft = Math.max(e.softness(), least);
    double rim = e.softness() < least ? least / 2 : 0;
    float[] out = new float[raster.pixels()];
    for (int j = 0; j < raster.height(); j++) {
      double y = raster.fullY(j) + 0.5 - e.centre().y() * longEdge;
      for (int i = 0; i < raster.width(); i++) {
        double x = raster.fullX(i) + 0.5 - e.centre().x() * longEdge;
        double u = (x * cos + y * sin) / wide;
        double v = (y * cos - x * sin) / high;
        out[j * raster.width() + i] = Ease.between((1 + rim - Math.sqrt(u * u + v * v)) / soft);
      }
    }
    return out;
  }
}
