package illuminar.core.region;

import illuminar.core.colour.LabPlanes;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Fill;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;

/**
 * What has nearly the colour of one place, measured as CIE 1976 difference. What hangs together is
 * found on the analysis grid by filling from that place, four neighbours to a pixel.
 */
final class SimilarShape {
  private SimilarShape() {}

  static float[] draw(Shape.SimilarColour similar, Raster raster, Territory in, Sight sight) {
    LabPlanes all = sight.lookAtAll(similar.look(), in);
    int longEdge = Math.max(all.width(), all.height());
    int x = (int) Math.max(0, Math.min(all.width() - 1, similar.at().x() * longEdge));
    int y = (int) Math.max(0, Math.min(all.height() - 1, similar.at().y() * longEdge));
    float[] seed = all.mean(x + 0.5, y + 0.5);
    LabPlanes here = LabPlanes.of(sight.look(similar.look(), in, raster));
    float[] out = new float[raster.pixels()];
    for (int i = 0; i < out.length; i++) {
      float apart = here.difference(i, seed[0], seed[1], seed[2]);
      out[i] = Ease.within(apart / similar.tolerance(), similar.softness());
    }
    if (similar.connected()) {
      Plane reached =
          sight.keep(
              List.of("filled", similar, in.ground()),
              Plane.class,
              all.l().length * 4L,
              () ->
                  widened(
                      filled(all, x, y, seed, (float) similar.tolerance()),
                      all.width(),
                      all.height()));
      float[] share = sight.spread(reached, raster);
      for (int i = 0; i < out.length; i++) {
        out[i] *= share[i];
      }
    }
    return out;
  }

  /** What hangs together with a seed, four neighbours to a pixel. */
  static boolean[] filled(LabPlanes p, int x, int y, float[] seed, float tolerance) {
    boolean[] in = new boolean[p.width() * p.height()];
    Fill.of(
        y * p.width() + x,
        p.width(),
        p.height(),
        false,
        in,
        (from, to) -> p.difference(to, seed[0], seed[1], seed[2]) <= tolerance);
    return in;
  }

  /** The same and one pixel round it, whose edges the raster draws more finely. */
  private static Plane widened(boolean[] in, int w, int h) {
    float[] share = new float[w * h];
    for (int i = 0; i < share.length; i++) {
      share[i] = in[i] ? 1 : 0;
    }
    Raster grid = new Raster(1, 0, 0, w, h);
    return new Plane(w, h, Grow.by(share, grid, grid, 1, true));
  }
}
