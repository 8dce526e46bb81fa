package illuminar.files;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Primaries;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.core.picture.Bands;

/**
 * Codes of other primaries turned into sRGB's: wide ones where the primaries reach beyond, so that
 * nothing they can show is cut off.
 */
final class OtherPrimaries {
  private static final int BAND = 64;

  /** How far below 0 a primary's light may come that is meant to be within sRGB. */
  private static final double ROUNDED = 0.01;

  private final Matrix3 toSrgb;

  OtherPrimaries(Primaries from) {
    double[] white = Space.xyz(from.whiteX(), from.whiteY());
    Matrix3 adapted = Space.adapt(white, Space.xyz(Space.D65_X, Space.D65_Y));
    toSrgb = Space.SRGB_TO_XYZ.inverse().after(adapted).after(from.toXyz());
  }

  /** Light of a code, 0 to 65535. */
  interface Light {
    /** Codes proportional to light. */
    Light LINEAR = code -> code / 65535f;

    /** Codes on sRGB's curve. */
    Light DISPLAY = code -> Srgb.decodeFast(code / 65535f);

    float of(int code);
  }

  /** Light of a colour in sRGB's primaries, below 0 or above 1 where sRGB cannot show it. */
  double[] light(double r, double g, double b) {
    return toSrgb.apply(r, g, b);
  }

  /** Whether a light of sRGB's primaries lies beyond what sRGB can show. */
  static boolean beyond(double[] light) {
    return Math.min(light[0], Math.min(light[1], light[2])) < -ROUNDED;
  }

  private boolean wide() {
    return beyond(light(1, 0, 0)) || beyond(light(0, 1, 0)) || beyond(light(0, 0, 1));
  }

  /**
   * Codes of sRGB's primaries.
   *
   * @param codes 16-bit codes of the other primaries, interleaved; written anew
   * @param light of each code
   * @param linear whether the result shall be proportional to light
   */
  Codes codes(int width, int height, short[] codes, Light light, boolean linear) {
    boolean wide = wide();
    float[] m = toSrgb.floats();
    float[] table = new float[65536];
    for (int v = 0; v < table.length; v++) {
      table[v] = light.of(v);
    }
    Bands.of(
        height,
        BAND,
        (first, end) -> {
          float[] rgb = new float[3];
          for (int i = 3 * first * width; i < 3 * end * width; i += 3) {
            float r = table[codes[i] & 65535];
            float g = table[codes[i + 1] & 65535];
            float b = table[codes[i + 2] & 65535];
            Matrix3.apply(m, r, g, b, rgb);
            for (int c = 0; c < 3; c++) {
              float v = linear ? rgb[c] : Srgb.encodeWide(rgb[c]);
              codes[i + c] = wide ? Codes.wide(v) : plain(v);
            }
          }
        });
    return wide
        ? Codes.ofWide(width, height, codes, linear)
        : Codes.of16(width, height, codes, linear);
  }

  private static short plain(float v) {
    return (short) (int) (Math.max(0, Math.min(1, v)) * 65535 + 0.5f);
  }
}
