package illuminar.core.colour;

/**
 * Fast logarithm and power of two for tones, in plain float arithmetic so that every machine and
 * every tiling gives the same bits. Absolute error below 0.0001 stops.
 */
public final class Stops {
  /** Tones below this many stops under white count as black. */
  public static final float BLACK = -16;

  private Stops() {}

  /** log2 of a light, not below {@link #BLACK}. */
  public static float of(float light) {
    if (!(light > 1.52587890625e-5f)) {
      return BLACK;
    }
    int bits = Float.floatToRawIntBits(light);
    float t = Float.intBitsToFloat(bits & 0x007fffff | 0x3f800000) - 1;
    float t2 = t * t;
    // minimax polynomial for log2(1 + t) on [0, 1], exact at both ends, error 2.3e-6
    float log =
        t * (1.44254494f - 0.718145186f * t)
            + t2
                * t
                * ((0.457548883f - 0.277904738f * t) + t2 * (0.121797375f - 0.0258412739f * t));
    return (bits >> 23) - 127 + log;
  }

  /**
   * 2 to the power of each of {@code stops}, for −40 to 40; relative error below 1e-5 as far as 12
   * stops either way, exactly 1 at 0. Plain arithmetic that the compiler works out for eight pixels
   * at once: a polynomial for the 32nd root, squared five times.
   *
   * @param stops not modified
   * @param light entries 0 up to {@code n} are those from {@code at} on; modified
   */
  public static void light(float[] stops, int at, float[] light, int n) {
    light(stops, at, light, 0, n);
  }

  /**
   * The same written from {@code to} on; {@code light} may be {@code stops} where both begin at one
   * place.
   */
  public static void light(float[] stops, int at, float[] light, int to, int n) {
    for (int i = 0; i < n; i++) {
      float x = stops[at + i] * (0.6931472f / 32);
      float x2 = x * x;
      light[to + i] =
          1 + x + x2 * (0.5f + x * (1 / 6f) + x2 * (1 / 24f + x * (1 / 120f + x * (1 / 720f))));
    }
    for (int i = 0; i < n; i++) {
      float p2 = light[to + i] * light[to + i];
      float p4 = p2 * p2;
      float p8 = p4 * p4;
      float p16 = p8 * p8;
      light[to + i] = p16 * p16;
    }
  }

  /** 2 to the power of {@code stops}, for −60 to 60. */
  public static float light(float stops) {
    float s = stops < -60 ? -60 : stops > 60 ? 60 : stops;
    int whole = (int) (s + 64) - 64;
    float f = s - whole;
    float f2 = f * f;
    // minimax polynomial for 2^f on [0, 1], exact at both ends, error 4.8e-6
    float p = 1 + 0.69300392f * f + f2 * (0.24154981f + 0.05174428f * f + 0.01370199f * f2);
    return p * Float.intBitsToFloat((whole + 127) << 23);
  }
}
