package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Plane;

/**
 * Steps of tone and of colour from pixel to pixel, noise smoothed: light changes slowly over a
 * surface, paint at once (Land and McCann 1971; for colour Funt, Drew, Brockington 1992).
 *
 * @param width pixels to a row
 * @param tone stops
 * @param red log2 of red over green
 * @param blue log2 of blue over green
 */
record LightSteps(int width, float[] tone, float[] red, float[] blue) {
  /** Pixels over which noise is smoothed. */
  static final double NOISE = 1.4;

  /** Step of tone from a pixel to the next from which on it is paint, stops. */
  private static final float TONE = 0.05f;

  /** The same of colour, log2. */
  private static final float COLOUR = 0.02f;

  /** The same where it becomes brighter and warmer. */
  private static final float TONE_OF_LAMP = 0.08f;

  private static final float COLOUR_OF_LAMP = 0.08f;

  /** How far beyond two surfaces' tones and colours that of a light between them may lie. */
  private static final float TONE_BETWEEN = 0.3f;

  private static final float COLOUR_BETWEEN = 0.1f;

  private static final float DARK = 1e-3f;

  /** Of a frame's colours in the merged light, on the analysis grid; the last ones are kept. */
  static LightSteps of(Analysis analysis, String frame) {
    return analysis.keep(
        LightSteps.class,
        frame,
        1,
        () -> of(MergedLight.luminance(analysis), OwnLean.of(analysis, frame, analysis.raster())));
  }

  private static LightSteps of(Plane light, OwnLean own) {
    Plane tone = Plane.of(light.width(), light.height());
    for (int i = 0; i < tone.data().length; i++) {
      tone.data()[i] = Stops.of(Math.max(DARK, light.data()[i]));
    }
    Plane[] smooth = Gauss.smooth(NOISE, tone, own.red(), own.blue());
    return new LightSteps(light.width(), smooth[0].data(), smooth[1].data(), smooth[2].data());
  }

  /**
   * Whether light, not paint, can be what changes from a pixel of a white surface to its neighbour.
   * Nothing is brighter than white paint in the same light: where it becomes brighter and warmer a
   * lamp's light begins, and may do so faster.
   */
  boolean goesOver(int from, int to) {
    float byTone = tone[to] - tone[from];
    float byRed = red[to] - red[from];
    float byBlue = blue[to] - blue[from];
    boolean lamp = byTone > 0 && byRed > byBlue;
    float most = lamp ? COLOUR_OF_LAMP : COLOUR;
    return Math.abs(byTone) < (lamp ? TONE_OF_LAMP : TONE)
        && byRed * byRed + byBlue * byBlue < most * most;
  }

  /** By how many times a step from a pixel to its neighbour is more than light makes, 0 or more. */
  float paint(int from, int to) {
    float byRed = red[to] - red[from];
    float byBlue = blue[to] - blue[from];
    float colour = (float) Math.sqrt(byRed * byRed + byBlue * byBlue) / COLOUR;
    return Math.max(0, Math.max(Math.abs(tone[to] - tone[from]) / TONE, colour) - 1);
  }

  /** Whether a pixel can be the step of light between two places of one surface. */
  boolean between(int i, int one, int other) {
    return between(tone, i, one, other, TONE_BETWEEN)
        && between(red, i, one, other, COLOUR_BETWEEN)
        && between(blue, i, one, other, COLOUR_BETWEEN);
  }

  private static boolean between(float[] v, int i, int one, int other, float slack) {
    return v[i] > Math.min(v[one], v[other]) - slack && v[i] < Math.max(v[one], v[other]) + slack;
  }

  /** The neighbour on one of a pixel's four sides, left, right, above, below; -1 beyond the end. */
  int neighbour(int i, int side) {
    int x = i % width;
    return switch (side) {
      case 0 -> x > 0 ? i - 1 : -1;
      case 1 -> x < width - 1 ? i + 1 : -1;
      case 2 -> i >= width ? i - width : -1;
      default -> i + width < tone.length ? i + width : -1;
    };
  }
}
