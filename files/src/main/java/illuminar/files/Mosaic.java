package illuminar.files;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.frame.Codes;

/**
 * What a sensor under a Bayer filter counts: one colour a pixel, red and green in even rows, green
 * and blue in odd ones, in 14 bits. The camera is our own: its filters overlap as filters do, and
 * its red and blue see less of white than its green.
 *
 * @param width even
 * @param height even
 * @param counts row by row, {@link #BLACK} without light, at most {@link #WHITE}; shared
 */
public record Mosaic(int width, int height, short[] counts) {
  public static final int BLACK = 512;
  public static final int WHITE = 16383;

  /** What the sensor counts of white, as parts of its range. */
  static final double[] NEUTRAL = {0.5, 1, 0.625};

  /** Linear sRGB to the sensor's colours, white balanced: rows sum to 1. */
  private static final Matrix3 FILTERS =
      new Matrix3(0.74, 0.21, 0.05, 0.12, 0.76, 0.12, 0.03, 0.22, 0.75);

  /** CIE XYZ under D65 to the sensor's colours, as DNG asks for. */
  static Matrix3 ofXyz() {
    return balance().after(FILTERS).after(Space.SRGB_TO_XYZ.inverse());
  }

  private static Matrix3 balance() {
    return new Matrix3(NEUTRAL[0], 0, 0, 0, NEUTRAL[1], 0, 0, 0, NEUTRAL[2]);
  }

  public Mosaic {
    if (width % 2 != 0 || height % 2 != 0 || counts.length != width * height) {
      throw new IllegalArgumentException("no mosaic of " + width + "×" + height);
    }
  }

  /**
   * What the sensor counts of light; a row or column too many is left out.
   *
   * @param light 16-bit codes proportional to light with sRGB primaries
   */
  public static Mosaic of(Codes light) {
    if (light.is8() || !light.linear()) {
      throw new IllegalArgumentException("a mosaic is made of 16-bit linear codes");
    }
    int w = light.width() & ~1;
    int h = light.height() & ~1;
    short[] out = new short[w * h];
    double[][] rows = rows(balance().after(FILTERS));
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        double[] filter = rows[(y & 1) + (x & 1)];
        int at = 3 * (y * light.width() + x);
        double sum = 0;
        for (int c = 0; c < 3; c++) {
          sum += filter[c] * light.at(at + c);
        }
        double share = Math.max(0, Math.min(1, sum));
        out[y * w + x] = (short) Math.round(BLACK + share * (WHITE - BLACK));
      }
    }
    return new Mosaic(w, h, out);
  }

  private static double[][] rows(Matrix3 m) {
    return new double[][] {{m.a(), m.b(), m.c()}, {m.d(), m.e(), m.f()}, {m.g(), m.h(), m.i()}};
  }
}
