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
  public static final Matrix3 WORK_TO_XYZ =
      toXyz(0.708, 0.292, 0.170, 0.797, 0.131, 0.046, D65_X, D65_Y);

  /** Linear sRGB to XYZ, D65. */
  public static final Matrix3 SRGB_TO_XYZ = toXyz(0.64, 0.33, 0.30, 0.60, 0.15, 0.06, D65_X, D65_Y);

  /** Linear sRGB to linear BT.2020. */
  public static final Matrix3 SRGB_TO_WORK = WORK_TO_XYZ.inverse().after(SRGB_TO_XYZ);

  /** Linear BT.2020 to linear sRGB. */
  public static final Matrix3 WORK_TO_SRGB = SRGB_TO_WORK.inverse();

  private static final Matrix3 BRADFORD =
      new Matrix3(0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296);

  /** Linear BT.2020 to XYZ relative to D50. */
  public static final Matrix3 WORK_TO_XYZ_D50 =
      adapt(xyz(D65_X, D65_Y), D50_XYZ).after(WORK_TO_XYZ);

  /** Weights of linear BT.2020 in luminance Y. */
  public static final float LUMA_R = (float) WORK_TO_XYZ.d();

  public static final float LUMA_G = (float) WORK_TO_XYZ.e();
  public static final float LUMA_B = (float) WORK_TO_XYZ.f();

  private Space() {}

  /** Luminance of a linear BT.2020 colour, 1.0 at display white. */
  public static float luminance(float r, float g, float b) {
    return LUMA_R * r + LUMA_G * g + LUMA_B * b;
  }

  /** Luminance of a linear sRGB colour (ITU-R BT.709), 1.0 at display white. */
  public static float srgbLuminance(float r, float g, float b) {
    return 0.2126f * r + 0.7152f * g + 0.0722f * b;
  }

  /** XYZ with Y = 1 of chromaticity x, y. */
  public static double[] xyz(double x, double y) {
    return new double[] {x / y, 1, (1 - x - y) / y};
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

  /**
   * Linear RGB to XYZ, by the chromaticities x and y of its primaries and its white.
   *
   * @throws ArithmeticException if they name no colours
   */
  public static Matrix3 toXyz(
      double rx, double ry, double gx, double gy, double bx, double by, double wx, double wy) {
    double[] r = xyz(rx, ry);
    double[] g = xyz(gx, gy);
    double[] b = xyz(bx, by);
    Matrix3 primaries = new Matrix3(r[0], g[0], b[0], r[1], g[1], b[1], r[2], g[2], b[2]);
    double[] white = xyz(wx, wy);
    double[] share = primaries.inverse().apply(white[0], white[1], white[2]);
    return primaries.after(Matrix3.diagonal(share[0], share[1], share[2]));
  }
}
