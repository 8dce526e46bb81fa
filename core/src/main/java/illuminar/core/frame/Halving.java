package illuminar.core.frame;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Bands;

/** Halves frames: each pixel is the mean light of four. */
final class Halving {
  /** Light of the lowest square of a level's codes. */
  static final float UNIT = 1f / (65535f * 65535f);

  private Halving() {}

  private static float[] displayTable8() {
    float[] t = new float[256];
    for (int i = 0; i < 256; i++) {
      t[i] = Srgb.decode8(i);
    }
    return t;
  }

  private static final float[] DISPLAY_8 = displayTable8();
  private static final Response STANDARD = Response.standard();

  private static final class Sixteen {
    static final float[] ENCODED = table(i -> (float) Srgb.decode(i / 65535.0));
    static final float[] LINEAR = table(i -> STANDARD.toDisplay(1, i / 65535f));
  }

  private static final class Wide {
    static final float[] ENCODED = table(i -> Srgb.decodeWide(Codes.ofWide(i)));
    static final float[] LINEAR = table(i -> STANDARD.toDisplay(1, Codes.ofWide(i)));
  }

  /** Light of a code. */
  private interface Light {
    float of(int code);
  }

  private static float[] table(Light light) {
    float[] t = new float[65536];
    for (int i = 0; i < t.length; i++) {
      t[i] = light.of(i);
    }
    return t;
  }

  /** Display-linear light of each code. */
  static float[] table(Codes codes) {
    if (codes.is8()) {
      return DISPLAY_8;
    }
    return codes.wide()
        ? codes.linear() ? Wide.LINEAR : Wide.ENCODED
        : codes.linear() ? Sixteen.LINEAR : Sixteen.ENCODED;
  }

  private static char root(float v) {
    return (char) (int) ((float) Math.sqrt(v) * 65535 + 0.5f);
  }

  /** Code of a light that may be below 0: its root with its sign, as wide codes are written. */
  private static char wideRoot(float v) {
    float root = (float) Math.sqrt(Math.abs(v));
    return (char) Codes.wide(v < 0 ? -root : root);
  }

  /** Light of a wide frame's level's code. */
  static float wideLight(char code) {
    float root = Codes.ofWide(code);
    return root * Math.abs(root);
  }

  static Pyramid.Level halve(Codes codes) {
    int w = (codes.width() + 1) / 2;
    int h = (codes.height() + 1) / 2;
    char[] out = new char[3 * w * h];
    float[] quarter = table(codes).clone();
    for (int i = 0; i < quarter.length; i++) {
      quarter[i] /= 4;
    }
    Bands.of(
        h,
        32,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            int top = 2 * y * codes.width();
            int low = Math.min(codes.height() - 1, 2 * y + 1) * codes.width();
            if (codes.is8()) {
              halve(codes.eight(), quarter, codes.width(), top, low, out, y * w, w, w * h);
            } else {
              halve(codes, quarter, top, low, out, y * w, w, w * h);
            }
          }
        });
    return new Pyramid.Level(1, w, h, out, codes.wide());
  }

  private static void halve(
      byte[] in, float[] quarter, int width, int top, int low, char[] out, int at, int w, int n) {
    for (int x = 0; x < w; x++) {
      int right = 2 * x + 1 < width ? 3 : 0;
      int a = (top + 2 * x) * 3;
      int b = (low + 2 * x) * 3;
      for (int k = 0; k < 3; k++) {
        out[at + k * n + x] =
            root(
                quarter[in[a + k] & 255]
                    + quarter[in[a + right + k] & 255]
                    + quarter[in[b + k] & 255]
                    + quarter[in[b + right + k] & 255]);
      }
    }
  }

  private static void halve(
      Codes codes, float[] quarter, int top, int low, char[] out, int at, int w, int n) {
    short[] in = codes.sixteen();
    boolean wide = codes.wide();
    for (int x = 0; x < w; x++) {
      int right = 2 * x + 1 < codes.width() ? 3 : 0;
      int a = (top + 2 * x) * 3;
      int b = (low + 2 * x) * 3;
      for (int k = 0; k < 3; k++) {
        float light =
            quarter[in[a + k] & 65535]
                + quarter[in[a + right + k] & 65535]
                + quarter[in[b + k] & 65535]
                + quarter[in[b + right + k] & 65535];
        out[at + k * n + x] = wide ? wideRoot(light) : root(light);
      }
    }
  }

  static Pyramid.Level halve(Pyramid.Level from) {
    int w = (from.width() + 1) / 2;
    int h = (from.height() + 1) / 2;
    char[] out = new char[3 * w * h];
    Bands.of(
        3 * h,
        64,
        (first, end) -> {
          for (int k = first; k < end; k++) {
            int plane = k / h * from.width() * from.height();
            int y = k % h;
            int a = plane + 2 * y * from.width();
            int b = plane + Math.min(from.height() - 1, 2 * y + 1) * from.width();
            for (int x = 0; x < w; x++) {
              int xa = 2 * x;
              int xb = Math.min(from.width() - 1, 2 * x + 1);
              if (from.wide()) {
                float sum =
                    wideLight(from.codes()[a + xa])
                        + wideLight(from.codes()[a + xb])
                        + wideLight(from.codes()[b + xa])
                        + wideLight(from.codes()[b + xb]);
                out[k * w + x] = wideRoot(sum / 4);
              } else {
                float sum =
                    sq(from.codes()[a + xa])
                        + sq(from.codes()[a + xb])
                        + sq(from.codes()[b + xa])
                        + sq(from.codes()[b + xb]);
                out[k * w + x] = root(sum * QUARTER);
              }
            }
          }
        });
    return new Pyramid.Level(from.power() + 1, w, h, out, from.wide());
  }

  private static final float QUARTER = 1f / (4f * 65535f * 65535f);

  private static float sq(char v) {
    return (float) v * v;
  }

  /** Light of a level's code. */
  static float light(Pyramid.Level level, int i) {
    char code = level.codes()[i];
    return level.wide() ? wideLight(code) : sq(code) * UNIT;
  }
}
