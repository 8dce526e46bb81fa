package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Burnt;
import illuminar.core.picture.Picture;
import java.util.Arrays;

/**
 * Whether a view is of the outside of a house rather than a room: a sky along its top, among the
 * lightest of the picture, and burnt or bluer than the rest. Our own rule.
 */
final class Outdoors {
  /** Share of the picture's height that is looked at. */
  private static final double BAND = 0.07;

  /** Share of the band that must look like sky. */
  private static final double MOST = 0.35;

  /** Light of a sky, as a share of what all but the lightest fiftieth stay below. */
  private static final float LIGHT = 0.45f;

  /** Blue over red of a sky, over that of the whole picture. */
  private static final float BLUER = 1.2f;

  private Outdoors() {}

  static boolean seen(Analysis analysis) {
    Picture p = analysis.draw(analysis.frames().anchor(), analysis.small());
    int n = p.r().length;
    float[] sorted = new float[n];
    double red = 0;
    double blue = 0;
    for (int i = 0; i < n; i++) {
      sorted[i] = p.g()[i];
      red += p.r()[i];
      blue += p.b()[i];
    }
    Arrays.sort(sorted);
    float least = LIGHT * sorted[(int) (0.98 * (n - 1))];
    float lean = (float) (blue / Math.max(1e-6, red));
    int band = Math.max(1, (int) (BAND * p.height())) * p.width();
    int sky = 0;
    for (int i = 0; i < band; i++) {
      boolean burnt = Math.min(p.r()[i], p.b()[i]) > Burnt.NO_COLOUR;
      boolean bluer = p.b()[i] > BLUER * lean * p.r()[i];
      sky += p.g()[i] > least && (burnt || bluer) ? 1 : 0;
    }
    return sky > MOST * band;
  }
}
