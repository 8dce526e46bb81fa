package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.colour.Burnt;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.List;

/** Where light comes from into a room: what is seen there is no cast on a surface. */
final class LightSources {
  /** Stops over the middle of a room from which on cold light comes through glass or cloth. */
  private static final float THROUGH = 1.4f;

  private static final float SURELY = 2.2f;

  /** The same of any light, from which on it is that of a lamp or its shade. */
  private static final float LAMP = 1.8f;

  /** Stops over that from which on it surely is. */
  private static final float SURELY_LAMP = 0.8f;

  /** Share of the long edge about a window's glass within which cloth before it may hang. */
  private static final float CLOTH = 0.06f;

  /** How surely light comes from a place for cloth to go on there. */
  private static final float HANGS = 0.3f;

  /** Share of the long edge over which the glow of what burns reaches, and how strong it is. */
  private static final double GLOW = 0.05;

  private static final float GLOWS = 10;

  /** One pixel in so many tells the middle of a room. */
  private static final int STRIDE = 7;

  private LightSources() {}

  /** Stops of the middle of a room's light. */
  static float middle(float[] luminance) {
    float[] some = new float[(luminance.length + STRIDE - 1) / STRIDE];
    for (int k = 0; k < some.length; k++) {
      some[k] = luminance[k * STRIDE];
    }
    Arrays.sort(some);
    return Stops.of(some[some.length / 2]);
  }

  /**
   * Where light comes from, 0 to 1: daylight through sheer cloth or glass, far over the middle of
   * the room and no warmer than it; lamps, farther over it.
   *
   * @param surfaces white surfaces, 0 to 1: a bright wall beside a lamp is one too
   */
  static float[] of(Analysis analysis, OwnLean own, Plane surfaces) {
    float[] light = MergedLight.luminance(analysis).data();
    float middle = middle(light);
    float room = room(analysis);
    float[] shades = LitShades.of(analysis).data();
    float[] over = new float[light.length];
    float[] out = new float[light.length];
    for (int i = 0; i < out.length; i++) {
      over[i] = Stops.of(light[i]) - middle;
      float warmer = own.red().data()[i] - own.blue().data()[i] - room;
      out[i] =
          Ease.between((over[i] - THROUGH) / (SURELY - THROUGH))
              * Ease.between((0.5f - warmer) / 0.4f);
    }
    onlyWhatHangs(out, Openings.of(analysis), surfaces);
    for (int i = 0; i < out.length; i++) {
      float warm = Ease.between((over[i] - LAMP) / SURELY_LAMP) * (1 - surfaces.data()[i]);
      out[i] = Math.max(shades[i], Math.max(out[i], warm));
    }
    return out;
  }

  /**
   * Of white surfaces in cold light, only cloth is a source: it hangs before a window's glass and
   * goes on beside it. A ceiling over a window is as bright, but parted from it by the frame.
   *
   * @param cold how surely cold light comes from each place; modified
   */
  private static void onlyWhatHangs(float[] cold, List<Opening> openings, Plane surfaces) {
    if (openings.isEmpty()) {
      return;
    }
    int w = surfaces.width();
    float reach = CLOTH * Math.max(w, surfaces.height());
    float[] near = new float[cold.length];
    for (int i = 0; i < near.length; i++) {
      double depth = cold[i] > 0 ? Openings.depth(openings, i % w + 0.5, i / w + 0.5) : -reach;
      near[i] = (float) (depth + reach) / reach;
    }
    boolean[] hangs =
        FloodFill.reached(
            w,
            surfaces.height(),
            false,
            i -> cold[i] > HANGS && near[i] > 1,
            (from, to) -> cold[to] > HANGS && near[to] > 0);
    for (int i = 0; i < cold.length; i++) {
      float cloth = hangs[i] ? Ease.between(near[i] * 2) : 0;
      cold[i] *= Math.max(1 - surfaces.data()[i], cloth);
    }
  }

  /** How warm a room's light is in the mean: log2 of red over blue. */
  private static float room(Analysis analysis) {
    Picture p = analysis.draw(analysis.frames().anchor(), analysis.small());
    double red = 0;
    double blue = 0;
    for (int i = 0; i < p.r().length; i++) {
      red += p.r()[i];
      blue += p.b()[i];
    }
    return Lean.of((float) red, (float) blue);
  }

  /** How near each pixel of the analysis grid is to a lamp that burns in the anchor, 0 to 1. */
  static Plane glow(Analysis analysis, Picture anchor) {
    Raster small = analysis.small();
    int w = anchor.width();
    int h = anchor.height();
    float share = (float) small.pixels() / (w * h);
    float[] windows = Casts.windows(analysis, analysis.raster());
    Plane burnt = Plane.of(small.width(), small.height());
    for (int i = 0; i < windows.length; i++) {
      if (anchor.mostAt(i) > Burnt.IN_FILE) {
        int x = i % w * small.width() / w;
        int y = i / w * small.height() / h;
        burnt.data()[y * small.width() + x] += share * (1 - windows[i]);
      }
    }
    Plane wide = Gauss.smooth(burnt, GLOW * Math.max(small.width(), small.height()));
    for (int i = 0; i < wide.data().length; i++) {
      wide.data()[i] = 1 - (float) Math.exp(-GLOWS * wide.data()[i]);
    }
    return MapRows.enlarged(wide, analysis.fullWidth(), analysis.fullHeight(), analysis.raster());
  }
}
