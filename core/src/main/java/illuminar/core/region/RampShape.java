package illuminar.core.region;

import illuminar.core.filter.Ease;
import illuminar.core.picture.Raster;

/** A straight gradient, eased at both ends (cubic Hermite). */
final class RampShape {
  private RampShape() {}

  static float[] draw(Shape.Ramp ramp, Raster raster, int longEdge) {
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
