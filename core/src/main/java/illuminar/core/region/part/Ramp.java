package illuminar.core.region.part;

import illuminar.core.filter.Ease;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.function.UnaryOperator;

/**
 * All before {@code from}, nothing beyond {@code to}, an even change between the two.
 *
 * <p>A straight gradient, eased at both ends (cubic Hermite).
 */
@PartKind(id = "ramp", name = "Ramp")
public record Ramp(Point from, Point to) implements Shape {

  @Override
  public Shape moved(UnaryOperator<Point> to) {
    return new Ramp(to.apply(from), to.apply(this.to));
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, raster, sources.longEdge());
  }

  private static float[] draw(Ramp ramp, Raster raster, int longEdge) {
    double dx = (ramp.to().x() - ramp.from().x()) * longEdge;
    double dy = (ramp.to().y() - ramp.from().y()) * longEdge;
    double length2 = Math.max(1, dx * dx + dy * dy);
    float[] out = new float[raster.pixels()];
    for (int j = 0; j < raster.height(); j++) {
      double y = raster.fullY(j) + 0.5 - ramp.from().y() * longEdge;
      for (int i = 0; i < raster.width(); i++) {
        double x = raster.fullX(i) + 0.5 - ramp.from().x() * longEdge;
        out[j * raster.width() + i] = Ease.between(1 - (x * dx + y * dy) / length2);
      }
    }
    return out;
  }
}
