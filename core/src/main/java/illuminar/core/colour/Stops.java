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
    int exponent = (bits >> 23) - 127;
    float m = Float.intBitsToFloat(bits & 0x007fffff | 0x3f800000);
    float t = (m - 1) / (m + 1);
    float t2 = t * t;
    // atanh series: log2(m) = 2/ln 2 · (t + t³/3 + t⁵/5 + t⁷/7), t at most 1/3
    float log = t * (2.885390082f + t2 * (0.961796694f + t2 * (0.577078016f + t2 * 0.412198583f)));
    return exponent + log;
  }

  /** 2 to the power of {@code stops}, for −60 to 60. */
  public static float light(float stops) {
    float s = stops < -60 ? -60 : stops > 60 ? 60 : stops;
    int whole = (int) Math.floor(s);
    float f = s - whole;
    float p =
        1
            + f
                * (0.69314718f
                    + f
                        * (0.24022651f
                            + f
                                * (0.05550411f
                                    + f * (0.00961813f + f * (0.00133336f + f * 0.00015404f)))));
    return p * Float.intBitsToFloat((whole + 127) << 23);
  }
}
