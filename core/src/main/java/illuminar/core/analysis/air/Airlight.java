package illuminar.core.analysis.air;

import java.util.Arrays;

/** The colour of the air that a hazy view shows. */
final class Airlight {
  /** Share of the haziest land that tells the airlight. */
  private static final double HAZIEST = 0.04;

  private Airlight() {}

  /**
   * Colour of the air: the sky's at the horizon (Koschmieder's law), where there is a sky; else the
   * mean of the haziest land.
   */
  static float[] of(float[][] c, float[] tone, float[] region, float sky, int horizon, int w) {
    float[] air = new float[3];
    int used = 0;
    for (int i = Math.max(0, horizon - 1) * w; i < (horizon + 1) * w; i++) {
      if (region[i] >= HazyView.ALL && tone[i] >= HazyView.SKY * sky) {
        for (int k = 0; k < 3; k++) {
          air[k] += c[k][i];
        }
        used++;
      }
    }
    if (used == 0) {
      return haziest(c, tone, region, sky);
    }
    for (int k = 0; k < 3; k++) {
      air[k] = Math.max(0.02f, air[k] / used);
    }
    return air;
  }

  /** Mean colour of the haziest land. */
  static float[] haziest(float[][] c, float[] tone, float[] region, float sky) {
    float[] land = new float[region.length];
    int n = 0;
    for (int i = 0; i < region.length; i++) {
      if (region[i] >= HazyView.WHOLE && tone[i] < HazyView.SKY * sky) {
        land[n++] = tone[i];
      }
    }
    if (n == 0) {
      return new float[] {1, 1, 1};
    }
    Arrays.sort(land, 0, n);
    float least = land[Math.max(0, n - 1 - (int) (HAZIEST * n))];
    float[] air = new float[3];
    int used = 0;
    for (int i = 0; i < region.length; i++) {
      if (region[i] >= HazyView.WHOLE && tone[i] < HazyView.SKY * sky && tone[i] >= least) {
        for (int k = 0; k < 3; k++) {
          air[k] += c[k][i];
        }
        used++;
      }
    }
    for (int k = 0; k < 3; k++) {
      air[k] = Math.max(0.02f, air[k] / used);
    }
    return air;
  }
}
