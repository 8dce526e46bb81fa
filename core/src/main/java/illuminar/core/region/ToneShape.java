package illuminar.core.region;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import java.util.Arrays;
import java.util.List;

/**
 * Tone bands. Sources: repeated products of the luminance as practised with luminosity masks
 * (common practice); the free curve by monotone cubics (Fritsch and Carlson 1980).
 */
final class ToneShape {
  private static final int STEPS = 4096;

  private ToneShape() {}

  /** {@code picture} is linear BT.2020. */
  static float[] draw(Shape.ToneBand band, Picture picture) {
    float[] table = new float[STEPS + 2];
    for (int i = 0; i < table.length; i++) {
      table[i] = (float) share(band, Math.min(1, i / (double) STEPS));
    }
    float[] out = new float[picture.r().length];
    for (int i = 0; i < out.length; i++) {
      float at = Srgb.encodeFast(picture.luminanceAt(i)) * STEPS;
      int k = (int) at;
      out[i] = table[k] + (table[k + 1] - table[k]) * (at - k);
    }
    return out;
  }

  /** Share of a luminance code. */
  static double share(Shape.ToneBand band, double v) {
    double share =
        band.tones() == Shape.Tones.CURVE
            ? curve(band.curve(), v)
            : Math.max(
                0,
                product(band.tones(), band.exponent(), v)
                    - (band.less() < 1 ? 0 : product(band.tones(), band.less(), v)));
    return Math.max(0, Math.min(1, (share - band.black()) / (band.white() - band.black())));
  }

  private static double product(Shape.Tones tones, double n, double v) {
    return switch (tones) {
      case LIGHTS -> Math.pow(v, n);
      case DARKS -> Math.pow(1 - v, n);
      default -> {
        double most = 1 - Math.pow(0.5, n);
        yield (1 - Math.pow(v, n)) * (1 - Math.pow(1 - v, n)) / (most * most);
      }
    };
  }

  private static double curve(List<Point> points, double v) {
    double[] x = points.stream().mapToDouble(Point::x).toArray();
    double[] y = points.stream().mapToDouble(Point::y).toArray();
    int n = x.length;
    if (v <= x[0]) {
      return y[0];
    }
    if (v >= x[n - 1]) {
      return y[n - 1];
    }
    double[] step = new double[n - 1];
    for (int i = 0; i < n - 1; i++) {
      step[i] = (y[i + 1] - y[i]) / Math.max(1e-6, x[i + 1] - x[i]);
    }
    double[] slope = new double[n];
    slope[0] = step[0];
    slope[n - 1] = step[n - 2];
    for (int i = 1; i < n - 1; i++) {
      slope[i] =
          step[i - 1] * step[i] <= 0 ? 0 : 2 * step[i - 1] * step[i] / (step[i - 1] + step[i]);
    }
    int k = Arrays.binarySearch(x, v);
    k = Math.min(n - 2, k >= 0 ? k : -k - 2);
    double h = x[k + 1] - x[k];
    double t = (v - x[k]) / h;
    double u = 1 - t;
    return y[k] * u * u * (1 + 2 * t)
        + y[k + 1] * t * t * (3 - 2 * t)
        + h * slope[k] * t * u * u
        - h * slope[k + 1] * t * t * u;
  }
}
