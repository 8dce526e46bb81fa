package illuminar.core.colour;

/**
 * RGB spaces and the way between them, computed from primaries and white point.
 *
 * <p>Sources: ITU-R BT.2020-2 (working space), ITU-R BT.709 / IEC 61966-2-1 (sRGB), CIE 15 (D50,
 * D65), Lam 1985 (Bradford cone matrix, as used by ICC.1).
 */
public final class Space {
  /** White point D65 as x, y (ITU-R BT.709, BT.2020). */
  public static final double D65_X = 0.3127;

  public static final double D65_Y = 0.3290;

  /** White point D50 as X and Z at Y = 1 (ICC.1 profile connection space). */
  public static final double D50_X = 0.96422;

  public static final double D50_Z = 0.82521;

  private static final double[] D50_XYZ = {D50_X, 1.0, D50_Z};

  /** Linear BT.2020 to XYZ, D65. */
  public static final Matrix3 WORK_TO_XYZ = Primaries.BT_2020.toXyz();

  /** Linear sRGB to XYZ, D65. */
  public static final Matrix3 SRGB_TO_XYZ = Primaries.SRGB.toXyz();

  /** Linear sRGB to linear BT.2020. */
  public static final Matrix3 SRGB_TO_WORK = WORK_TO_XYZ.inverse().after(SRGB_TO_XYZ);

  /** Linear BT.2020 to linear sRGB. */
  public static final Matrix3 WORK_TO_SRGB = SRGB_TO_WORK.inverse();

  private static final Matrix3 BRADFORD =
      new Matrix3(0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296);

  /** Linear BT.2020 to XYZ relative to D50. */
  public static final Matrix3 WORK_TO_XYZ_D50 = toD50(xyz(D65_X, D65_Y)).after(WORK_TO_XYZ);

  /** Weights of linear BT.2020 in luminance Y. */
  public static final float LUMA_R = (float) WORK_TO_XYZ.d();

  public static final float LUMA_G = (float) WORK_TO_XYZ.e();
  public static final float LUMA_B = (float) WORK_TO_XYZ.f();

  private Space() {}

  /** Luminance of a linear BT.2020 colour, 1.0 at display white. */
  public static float luminance(float r, float g, float b) {
    return LUMA_R * r + LUMA_G * g + LUMA_B * b;
  }

  /** The green of a linear BT.2020 colour of a luminance. */
  public static float green(float luminance, float r, float b) {
    return (luminance - LUMA_R * r - LUMA_B * b) / LUMA_G;
  }

  /** Luminance of a linear sRGB colour (ITU-R BT.709), 1.0 at display white. */
  public static float srgbLuminance(float r, float g, float b) {
    return 0.2126f * r + 0.7152f * g + 0.0722f * b;
  }

  /** XYZ with Y = 1 of chromaticity x, y. */
  public static double[] xyz(double x, double y) {
    return new double[] {x / y, 1, (1 - x - y) / y};
  }

  /** Bradford adaptation to D50, of XYZ from a white as X, Y, Z. */
  public static Matrix3 toD50(double[] from) {
    return adapt(from, D50_XYZ);
  }

  /** Bradford adaptation of XYZ from one white to another; whites as X, Y, Z. */
  public static Matrix3 adapt(double[] from, double[] to) {
    double[] f = BRADFORD.apply(from[0], from[1], from[2]);
    double[] t = BRADFORD.apply(to[0], to[1], to[2]);
    return BRADFORD
        .inverse()
        .after(Matrix3.diagonal(t[0] / f[0], t[1] / f[1], t[2] / f[2]))
        .after(BRADFORD);
  }
}
