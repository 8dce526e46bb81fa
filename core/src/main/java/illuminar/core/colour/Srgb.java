package illuminar.core.colour;

/**
 * The sRGB transfer function and primaries.
 *
 * <p>Source: IEC 61966-2-1:1999. Encoded and linear values are in [0, 1]; values outside are kept
 * on the straight extension of the curve below and on the power law above.
 */
public final class Srgb {
  private static final int STEPS = 4096;
  private static final float[] ENCODE = new float[STEPS + 2];
  private static final float[] DECODE_8 = new float[256];
  private static final float[] DECODE = new float[STEPS + 2];

  static {
    for (int i = 0; i < ENCODE.length; i++) {
      double root = i / (double) STEPS;
      ENCODE[i] = (float) encode(root * root);
      DECODE[i] = (float) decode(i / (double) STEPS);
    }
    for (int i = 0; i < 256; i++) {
      DECODE_8[i] = (float) decode(i / 255.0);
    }
  }

  /** Codes of light from 2⁻¹³ up to white, 1024 entries to each doubling. */
  private static final byte[] CODES_8 = new byte[13 * 1024];

  private static final int FIRST = Float.floatToRawIntBits(1 / 8192f) >> 13;

  static {
    for (int i = 0; i < CODES_8.length; i++) {
      float from = Float.intBitsToFloat(FIRST + i << 13);
      float to = Float.intBitsToFloat(FIRST + i + 1 << 13);
      CODES_8[i] = (byte) Math.round(255 * encode((from + to) / 2.0));
    }
  }

  private Srgb() {}

  /** The 8-bit code of a light, clamped; at most 0.06 of a code from the nearest. */
  public static byte code8(float linear) {
    if (!(linear >= 1 / 8192f)) {
      return 0;
    }
    return linear >= 1 ? (byte) 255 : CODES_8[(Float.floatToRawIntBits(linear) >> 13) - FIRST];
  }

  /** Linear light to code value, both 1.0 at display white. */
  public static double encode(double linear) {
    return linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
  }

  /** Code value to linear light, both 1.0 at display white. */
  public static double decode(double code) {
    return code <= 0.04045 ? code / 12.92 : Math.pow((code + 0.055) / 1.055, 2.4);
  }

  /** Linear light of an 8-bit code, 0 to 255. */
  public static float decode8(int code) {
    return DECODE_8[code];
  }

  /**
   * Table form of {@link #encode}, clamped to [0, 1]; within 0.00002 of it. The table runs over the
   * square root, so that the darks are as fine as the lights.
   */
  public static float encodeFast(float linear) {
    if (!(linear > 0)) {
      return 0;
    }
    if (linear >= 1) {
      return 1;
    }
    float at = (float) Math.sqrt(linear) * STEPS;
    int i = (int) at;
    float low = ENCODE[i];
    return low + (ENCODE[i + 1] - low) * (at - i);
  }

  /** {@link #encodeFast} not clamped: below 0 turned round it, as wide codes are. */
  public static float encodeWide(float linear) {
    if (linear < 0) {
      return -encodeWide(-linear);
    }
    return linear > 1 ? (float) encode(linear) : encodeFast(linear);
  }

  /** {@link #decodeFast} not clamped, the way back of {@link #encodeWide}. */
  public static float decodeWide(float code) {
    if (code < 0) {
      return -decodeWide(-code);
    }
    return code > 1 ? (float) decode(code) : decodeFast(code);
  }

  /** Table form of {@link #decode}, clamped to [0, 1]; within 0.000001 of it. */
  public static float decodeFast(float code) {
    if (!(code > 0)) {
      return 0;
    }
    if (code >= 1) {
      return 1;
    }
    float at = code * STEPS;
    int i = (int) at;
    float low = DECODE[i];
    return low + (DECODE[i + 1] - low) * (at - i);
  }
}
