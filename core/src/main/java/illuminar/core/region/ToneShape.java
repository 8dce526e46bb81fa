package illuminar.core.region;

import illuminar.core.colour.Srgb;
import illuminar.core.filter.MonotoneCubic;
import illuminar.core.picture.Picture;
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
    return new MonotoneCubic(
            points.stream().mapToDouble(Point::x).toArray(),
            points.stream().mapToDouble(Point::y).toArray())
        .at(v);
  }
}
