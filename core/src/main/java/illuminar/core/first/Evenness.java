package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.Arrays;

/**
 * How far a picture shows the view through the openings by one curve from its light: the mean
 * distance, in stops, of its tones from the medians over bins of light made monotone. What stands
 * hardly over the wall, bars and things before the panes, is left out.
 */
final class Evenness {
  private static final int BINS = 24;

  /** Light over the wall's from which on a pixel is view. */
  private static final float VIEW = 2.2f;

  private Evenness() {}

  /** Stops from the one curve, mean over all openings' view; 0 where there is none. */
  static double of(Recipe recipe, PreviewSession session) {
    Analysis analysis = session.analysis();
    float[] light = MergedLight.luminance(analysis).data();
    double sum = 0;
    int n = 0;
    for (Opening opening : Openings.of(analysis)) {
      // a smaller picture would mix light across edges, and no curve undoes that
      Raster part = opening.sides().within(analysis.raster());
      Picture picture = session.picture(recipe, part);
      float[][] pairs = pairs(picture, part, light, analysis.raster().width(), opening);
      sum += off(pairs[0], pairs[1]);
      n += pairs[0].length;
    }
    return n == 0 ? 0 : sum / n;
  }

  /** Light and tones of the view through an opening, of which a part of the grid was drawn. */
  private static float[][] pairs(
      Picture picture, Raster part, float[] light, int gridWidth, Opening opening) {
    float[][] out = new float[2][part.pixels()];
    int n = 0;
    for (int k = 0; k < part.pixels(); k++) {
      int x = part.x() + k % part.width();
      int y = part.y() + k / part.width();
      float of = light[y * gridWidth + x];
      if (opening.depth(x + 0.5, y + 0.5) > 2 && of > VIEW * opening.wall()) {
        out[0][n] = Stops.of(of);
        out[1][n++] = Math.max(-10, Stops.of(picture.luminanceAt(k)));
      }
    }
    return new float[][] {Arrays.copyOf(out[0], n), Arrays.copyOf(out[1], n)};
  }

  /** Sum of distances from the curve. */
  private static double off(float[] light, float[] tone) {
    if (light.length == 0) {
      return 0;
    }
    float[] sorted = light.clone();
    Arrays.sort(sorted);
    float from = sorted[sorted.length / 100];
    float to = Math.max(from + 0.1f, sorted[(int) (0.99 * (sorted.length - 1))]);
    double before = -20;
    double sum = 0;
    for (int b = 0; b < BINS; b++) {
      float[] in = new float[light.length];
      int n = 0;
      for (int i = 0; i < light.length; i++) {
        int k = (int) Math.max(0, Math.min(BINS - 1, (light[i] - from) / (to - from) * BINS));
        if (k == b) {
          in[n++] = tone[i];
        }
      }
      Arrays.sort(in, 0, n);
      double median = n == 0 ? before : Math.max(before, in[n / 2]);
      before = median;
      for (int i = 0; i < n; i++) {
        sum += Math.abs(in[i] - median);
      }
    }
    return sum;
  }
}
