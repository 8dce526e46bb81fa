package illuminar.core.region;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.frame.FrameRows;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;

/** Burnt light, and the bloom round it. */
final class BurntShape {
  private BurntShape() {}

  static float[] draw(Shape.BurntLight burnt, Raster raster, Sight sight) {
    Analysis analysis = sight.analysis();
    float[] out = burnt(burnt, raster, analysis);
    if (burnt.bloom() == 0) {
      return out;
    }
    Raster grid = analysis.raster();
    Plane bloom =
        sight.keep(
            List.of("bloom", burnt),
            Plane.class,
            grid.pixels() * 4L,
            () -> bloom(burnt, grid, analysis));
    float[] share = sight.spread(bloom, raster);
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.max(out[i], share[i]);
    }
    return out;
  }

  /** Widened by the bloom, fading over it. */
  private static Plane bloom(Shape.BurntLight burnt, Raster grid, Analysis analysis) {
    double sigma = Math.max(0.5, burnt.bloom() * grid.scale() / 3);
    int by = (int) Math.round(sigma);
    float[] wide = Grow.by(burnt(burnt, grid, analysis), grid, grid, by, true);
    return Gauss.smooth(new Plane(grid.width(), grid.height(), wide), sigma);
  }

  private static float[] burnt(Shape.BurntLight burnt, Raster raster, Analysis analysis) {
    float[] out = new float[raster.pixels()];
    float from = (float) -burnt.reach() - 0.06f;
    float to = (float) -burnt.reach() * 0.5f - 0.02f;
    float least = (float) Srgb.encode(Math.pow(2, from));
    FrameRows rows = analysis.rows(burnt.frame(), raster);
    int w = raster.width();
    float[] r = new float[w];
    float[] g = new float[w];
    float[] b = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      rows.codes(j, 0, w, r, g, b);
      for (int i = 0; i < w; i++) {
        float most = Math.max(r[i], Math.max(g[i], b[i]));
        if (most > least) {
          out[j * w + i] = Ease.between((Stops.of(Srgb.decodeFast(most)) - from) / (to - from));
        }
      }
    }
    return out;
  }
}
