package illuminar.core.frame;

/**
 * A frame's pixels as the file stores them: interleaved red, green, blue codes. Arrays are shared
 * and never written after construction.
 *
 * @param eight 8-bit codes, or empty
 * @param sixteen 16-bit codes, or empty
 * @param linear whether the codes are proportional to light; otherwise they are display codes
 */
public record Codes(int width, int height, byte[] eight, short[] sixteen, boolean linear) {

  public Codes {
    int n = width * height * 3;
    if (eight.length != n && sixteen.length != n) {
      throw new IllegalArgumentException("codes do not fit " + width + "×" + height);
    }
  }

  public static Codes of8(int width, int height, byte[] rgb) {
    return new Codes(width, height, rgb, new short[0], false);
  }

  public static Codes of16(int width, int height, short[] rgb, boolean linear) {
    return new Codes(width, height, new byte[0], rgb, linear);
  }

  public boolean is8() {
    return eight.length > 0;
  }

  /** Mean code of some of its green values, 0 to 1. */
  public double middle() {
    double sum = 0;
    int n = 0;
    for (int i = 1; i < 3 * width * height; i += 3 * 97) {
      sum += is8() ? (eight[i] & 255) / 255.0 : (sixteen[i] & 65535) / 65535.0;
      n++;
    }
    return sum / n;
  }
}
