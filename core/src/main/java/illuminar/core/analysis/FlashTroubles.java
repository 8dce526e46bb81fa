package illuminar.core.analysis;

import illuminar.core.colour.Stops;
import illuminar.core.filter.Box;
import illuminar.core.filter.Guided;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * Where a flash makes hot spots or throws hard shadows. The light that only the flash frame has is
 * compared with the ambient light of the same pixel, so that what is painted on a surface does not
 * count; where that relation stands well above its surroundings the flash is mirrored, where it
 * falls well below something stood in its way. After the flash shadow and highlight masks of
 * Petschnigg et al., "Digital photography with flash and no-flash image pairs", 2004; the
 * comparison with the surroundings is our own.
 */
public final class FlashTroubles {

  /** What a flash may do wrong. */
  public enum Trouble {
    HOT_SPOT,
    HARD_SHADOW
  }

  /** Light below which a relation is mostly noise. */
  private static final float LEAST = 0.004f;

  /** Display-linear value from which a pixel counts as burnt. */
  private static final float BURNT = 0.92f;

  /** Radius of the surroundings, as a share of the long edge. */
  private static final double AROUND = 0.07;

  /** A pixel further off than this counts no more when the surroundings are judged again. */
  private static final float STRAY = 0.6f;

  private FlashTroubles() {}

  /**
   * How far the flash stands out, in stops on the analysis grid: above 0 where there is trouble.
   *
   * @param flash id of the flash frame
   * @throws IllegalArgumentException if it is not there, or no ambient frame was taken at its
   *     settings
   */
  public static Plane of(Analysis analysis, String flash, Trouble trouble) {
    Frame ambient = LightsApart.ambientOf(analysis, analysis.frames().get(flash));
    Picture lit = analysis.draw(flash, analysis.raster());
    Picture dark = analysis.draw(ambient.id(), analysis.raster());
    int w = lit.width();
    int h = lit.height();
    Plane relation = Plane.of(w, h);
    Plane known = Plane.of(w, h);
    Response r = analysis.frames().response();
    for (int i = 0; i < w * h; i++) {
      float a = r.luminance(dark.r()[i], dark.g()[i], dark.b()[i]);
      float most = dark.mostAt(i);
      if (a > LEAST && most < BURNT) {
        float f = Math.max(0, r.luminance(lit.r()[i], lit.g()[i], lit.b()[i]) - a);
        relation.data()[i] = Stops.of((f + LEAST) / (a + LEAST));
        known.data()[i] = 1;
      }
    }
    int radius = Math.max(3, (int) Math.round(AROUND * Math.max(w, h)));
    Plane around = around(relation, known, radius);
    Plane kin = known.copy();
    for (int i = 0; i < w * h; i++) {
      if (Math.abs(relation.data()[i] - around.data()[i]) > STRAY) {
        kin.data()[i] = 0;
      }
    }
    around = around(relation, kin, radius);
    Plane out = Plane.of(w, h);
    for (int i = 0; i < w * h; i++) {
      float above = (relation.data()[i] - around.data()[i]) * known.data()[i];
      out.data()[i] = trouble == Trouble.HOT_SPOT ? above : -above;
    }
    // single pixels of noise and of edges that are lined up a little beside each other
    return Box.mean(out, 2);
  }

  private static Plane around(Plane values, Plane weights, int radius) {
    Plane[] mean = Box.means(radius, Guided.product(values, weights), weights);
    for (int i = 0; i < weights.data().length; i++) {
      mean[0].data()[i] /= Math.max(1e-4f, mean[1].data()[i]);
    }
    return mean[0];
  }
}
