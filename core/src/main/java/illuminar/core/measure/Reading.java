package illuminar.core.measure;

import illuminar.core.colour.Lab;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;

/**
 * An averaged reading of a small area.
 *
 * @param lab colour of the mean light
 * @param spread mean CIEDE2000 difference of single pixels from that colour
 * @param stops luminance in stops below white
 * @param srgb 8-bit codes of the mean light
 * @param trusted false where more than a tenth of the area is burnt or blocked, see {@link
 *     Clipping}
 */
public record Reading(Lab lab, double spread, double stops, int[] srgb, boolean trusted) {

  /** Reads the disc of {@code radius} pixels round (x, y); the part inside the picture counts. */
  public static Reading at(Picture p, double x, double y, double radius) {
    double[] sum = new double[3];
    int n = 0;
    int bad = 0;
    int x0 = (int) Math.max(0, Math.floor(x - radius));
    int x1 = (int) Math.min(p.width() - 1, Math.ceil(x + radius));
    int y0 = (int) Math.max(0, Math.floor(y - radius));
    int y1 = (int) Math.min(p.height() - 1, Math.ceil(y + radius));
    double reach = Math.max(0.71, radius);
    for (int v = y0; v <= y1; v++) {
      for (int u = x0; u <= x1; u++) {
        if (Math.hypot(u - x, v - y) > reach) {
          continue;
        }
        int i = v * p.width() + u;
        for (int c = 0; c < 3; c++) {
          sum[c] += clip(p.channel(c)[i]);
        }
        float most = Clipping.mostOfWork(p.r()[i], p.g()[i], p.b()[i]);
        bad += Clipping.burnt(most) || Clipping.blocked(most) ? 1 : 0;
        n++;
      }
    }
    if (n == 0) {
      throw new IllegalArgumentException("the probe lies outside the picture");
    }
    Lab mean = Lab.ofWork(sum[0] / n, sum[1] / n, sum[2] / n);
    double spread = 0;
    for (int v = y0; v <= y1; v++) {
      for (int u = x0; u <= x1; u++) {
        if (Math.hypot(u - x, v - y) <= reach) {
          int i = v * p.width() + u;
          spread += mean.difference(Lab.ofWork(clip(p.r()[i]), clip(p.g()[i]), clip(p.b()[i])));
        }
      }
    }
    float light = Space.luminance((float) (sum[0] / n), (float) (sum[1] / n), (float) (sum[2] / n));
    return new Reading(mean, spread / n, Stops.of(light), codes(sum, n), bad * 10 <= n);
  }

  private static double clip(float v) {
    return Math.max(0, Math.min(1, v));
  }

  private static int[] codes(double[] sum, int n) {
    Matrix3 m = Space.WORK_TO_SRGB;
    double[] rgb = m.apply(sum[0] / n, sum[1] / n, sum[2] / n);
    int[] out = new int[3];
    for (int c = 0; c < 3; c++) {
      out[c] = (int) Math.round(255 * Srgb.encode(Math.max(0, Math.min(1, rgb[c]))));
    }
    return out;
  }
}
