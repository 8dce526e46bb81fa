package illuminar.core.region;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.LabPlanes;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayDeque;
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
      within(reached, raster, sight.analysis(), out);
    }
    return out;
  }

  /** What hangs together with a seed, four neighbours to a pixel. */
  static boolean[] filled(LabPlanes p, int x, int y, float[] seed, float tolerance) {
    int w = p.width();
    int h = p.height();
    boolean[] in = new boolean[w * h];
    ArrayDeque<Integer> open = new ArrayDeque<>();
    open.add(y * w + x);
    in[y * w + x] = true;
    while (!open.isEmpty()) {
      int i = open.poll();
      int left = i % w > 0 ? i - 1 : i;
      int right = i % w < w - 1 ? i + 1 : i;
      int above = i >= w ? i - w : i;
      int under = i < w * (h - 1) ? i + w : i;
      for (int k : new int[] {left, right, above, under}) {
        if (!in[k] && p.difference(k, seed[0], seed[1], seed[2]) <= tolerance) {
          in[k] = true;
          open.add(k);
        }
      }
    }
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

  private static void within(Plane map, Raster raster, Analysis analysis, float[] out) {
    MapRows rows = MapRows.of(analysis.fullWidth(), analysis.fullHeight(), raster, map)[0];
    float[] row = new float[raster.width()];
    for (int j = 0; j < raster.height(); j++) {
      rows.row(j, row, 0);
      for (int i = 0; i < row.length; i++) {
        out[j * row.length + i] *= row[i];
      }
    }
  }
}
