package illuminar.core.analysis.light;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;

/**
 * What a frame shows, on the analysis grid, of the light that burns at the anchor's exposure.
 *
 * @param at where each pixel lies on the small grid, the brightest first
 * @param luminance of each at the anchor's exposure, above 1 and falling
 */
public record Burning(int[] at, float[] luminance) {

  private static final int MOST_KEPT = 12;

  /**
   * A frame's light that burns at the anchor's exposure; kept.
   *
   * @throws IllegalArgumentException if the frame is not there
   */
  public static Burning of(Analysis analysis, String frame) {
    return analysis.keepLong(Burning.class, frame, MOST_KEPT, () -> found(analysis, frame));
  }

  private static Burning found(Analysis analysis, String frame) {
    Frame dark = analysis.frames().get(frame);
    Response response = analysis.frames().response();
    float gain = (float) Math.pow(2, analysis.frames().anchorFrame().stops() - dark.stops());
    // no channel at burning, nothing that burns
    float least = 1;
    for (int c = 0; c < 3; c++) {
      least = Math.min(least, response.toDisplay(c, 1 / gain));
    }
    Picture p = analysis.draw(frame, analysis.raster());
    long[] found = new long[1024];
    int n = 0;
    for (int i = 0; i < p.r().length; i++) {
      if (p.mostAt(i) >= least) {
        float y = gain * response.luminance(p.r()[i], p.g()[i], p.b()[i]);
        if (y > 1) {
          found = n == found.length ? Arrays.copyOf(found, 2 * n) : found;
          // the bits of floats above 0 sort as the floats do
          found[n++] = (long) -Float.floatToRawIntBits(y) << 32 | i;
        }
      }
    }
    Arrays.sort(found, 0, n);
    Raster small = analysis.small();
    int[] at = new int[n];
    float[] luminance = new float[n];
    for (int k = 0; k < n; k++) {
      int x = (int) found[k] % p.width() * small.width() / p.width();
      int y = (int) found[k] / p.width() * small.height() / p.height();
      at[k] = y * small.width() + x;
      luminance[k] = Float.intBitsToFloat((int) -(found[k] >> 32));
    }
    return new Burning(at, luminance);
  }
}
