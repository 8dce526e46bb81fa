package illuminar.core.frame;

/**
 * A frame's pixels as the file stores them: interleaved red, green, blue codes of sRGB's primaries.
 * Arrays are shared and never written after construction.
 *
 * <p>Codes that are <em>wide</em> span −1 to 2 instead of 0 to 1, so that colours which sRGB cannot
 * show have codes of their own: below 0 the curve is that above it, turned round. Source: the idea
 * of bg-sRGB, IEC 61966-2-1 Amendment 1, with our own span.
 *
 * @param eight 8-bit codes, or empty
 * @param sixteen 16-bit codes, or empty
 * @param linear whether the codes are proportional to light; otherwise they are display codes
 * @param wide whether they span −1 to 2; 16-bit codes only
 */
public record Codes(
    int width, int height, byte[] eight, short[] sixteen, boolean linear, boolean wide) {
  /** Steps of wide codes to 1. */
  static final int WIDE_UNIT = 21845;

  public Codes {
    int n = width * height * 3;
    if (eight.length != n && sixteen.length != n) {
      throw new IllegalArgumentException("codes do not fit " + width + "×" + height);
    }
  }

  public static Codes of8(int width, int height, byte[] rgb) {
    return new Codes(width, height, rgb, new short[0], false, false);
  }

  public static Codes of16(int width, int height, short[] rgb, boolean linear) {
    return new Codes(width, height, new byte[0], rgb, linear, false);
  }

  /** Codes made by {@link #wide(float)}. */
  public static Codes ofWide(int width, int height, short[] rgb, boolean linear) {
    return new Codes(width, height, new byte[0], rgb, linear, true);
  }

  /** The wide code of a value from −1 to 2; what lies beyond comes to the end. */
  public static short wide(float value) {
    return (short) (int) ((Math.max(-1, Math.min(2, value)) + 1) * WIDE_UNIT + 0.5f);
  }

  /** The value of a wide code, 0 to 65535. */
  public static float ofWide(int code) {
    return code * (1f / WIDE_UNIT) - 1;
  }

  public boolean is8() {
    return eight.length > 0;
  }

  /** Mean code of some of its green values, 0 to 1. */
  public double middle() {
    double sum = 0;
    int n = 0;
    for (int i = 1; i < 3 * width * height; i += 3 * 97) {
      sum += at(i);
      n++;
    }
    return sum / n;
  }

  /** One value of a channel, 0 to 1, of wide ones −1 to 2. */
  public double at(int i) {
    if (is8()) {
      return (eight[i] & 255) / 255.0;
    }
    int code = sixteen[i] & 65535;
    return wide ? ofWide(code) : code / 65535.0;
  }
}
