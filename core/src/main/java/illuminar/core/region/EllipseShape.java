package illuminar.core.region;

import illuminar.core.filter.Ease;
import illuminar.core.picture.Raster;

/** A turned ellipse that fades towards its edge; a hard one is anti-aliased. */
final class EllipseShape {
  private EllipseShape() {}

  static float[] draw(Shape.Ellipse e, Raster raster, int longEdge) {
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
