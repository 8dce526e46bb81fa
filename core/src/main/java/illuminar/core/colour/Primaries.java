package illuminar.core.colour;

/**
 * Chromaticities of an RGB space: x and y of red, green, blue and white (CIE 15).
 *
 * <p>Sources: ITU-R BT.709 (also IEC 61966-2-1), ITU-R BT.2020-2, SMPTE EG 432-1 (P3 with the white
 * of D65), IEC 61966-2-5 (opRGB), ISO 22028-2 (ROMM RGB, whose white is D50).
 */
public record Primaries(
    double redX,
    double redY,
    double greenX,
    double greenY,
    double blueX,
    double blueY,
    double whiteX,
    double whiteY) {
  public static final Primaries SRGB =
      new Primaries(0.64, 0.33, 0.30, 0.60, 0.15, 0.06, Space.D65_X, Space.D65_Y);

  public static final Primaries BT_2020 =
      new Primaries(0.708, 0.292, 0.170, 0.797, 0.131, 0.046, Space.D65_X, Space.D65_Y);

  public static final Primaries DISPLAY_P3 =
      new Primaries(0.680, 0.320, 0.265, 0.690, 0.150, 0.060, Space.D65_X, Space.D65_Y);

  public static final Primaries OPRGB =
      new Primaries(0.64, 0.33, 0.21, 0.71, 0.15, 0.06, Space.D65_X, Space.D65_Y);

  public static final Primaries ROMM =
      new Primaries(0.7347, 0.2653, 0.1596, 0.8404, 0.0366, 0.0001, 0.3457, 0.3585);

  /**
   * Linear RGB to XYZ, white at Y = 1.
   *
   * @throws ArithmeticException if they name no colours
   */
  public Matrix3 toXyz() {
    double[] r = Space.xyz(redX, redY);
    double[] g = Space.xyz(greenX, greenY);
    double[] b = Space.xyz(blueX, blueY);
    Matrix3 all = new Matrix3(r[0], g[0], b[0], r[1], g[1], b[1], r[2], g[2], b[2]);
    double[] white = Space.xyz(whiteX, whiteY);
    double[] share = all.inverse().apply(white[0], white[1], white[2]);
    return all.after(Matrix3.diagonal(share[0], share[1], share[2]));
  }

  /** The greatest difference of any chromaticity from that of others. */
  public double off(Primaries other) {
    double[] a = numbers();
    double[] b = other.numbers();
    double most = 0;
    for (int i = 0; i < a.length; i++) {
      most = Math.max(most, Math.abs(a[i] - b[i]));
    }
    return most;
  }

  private double[] numbers() {
    return new double[] {redX, redY, greenX, greenY, blueX, blueY, whiteX, whiteY};
  }
}
