package illuminar.core.colour;

/**
 * Warmer or cooler, greener or more magenta: the adaptation from a white beside D65 to D65.
 *
 * <p>Sources: Planckian locus by {@link Locus}; reciprocal megakelvin (mired) as steps that look
 * alike (Priest 1933); linear Bradford adaptation as in ICC.1.
 */
public final class WhiteShift {
  private static final double NEUTRAL = 1e6 / 6504;

  /** Distance in u′v′ of a tint of 100. */
  private static final double TINT = 0.03;

  private WhiteShift() {}

  /**
   * Matrix on linear sRGB.
   *
   * @param mired how much warmer the picture becomes, −100 to 100
   * @param tint how much more magenta, −100 to 100
   */
  public static Matrix3 srgb(double mired, double tint) {
    if (mired == 0 && tint == 0) {
      return Matrix3.diagonal(1, 1, 1);
    }
    double[] neutral = uv(Locus.planck(1e6 / NEUTRAL));
    // a source bluer than the neutral one is what makes the picture warmer when adapted to
    double[] shifted = uv(Locus.planck(1e6 / Math.max(50, NEUTRAL - mired)));
    double[] white = uv(new double[] {Space.D65_X, Space.D65_Y});
    double u = white[0] + shifted[0] - neutral[0];
    double v = white[1] + shifted[1] - neutral[1] + tint / 100 * TINT;
    double[] from = xyz(u, v);
    double[] to = Space.xyz(Space.D65_X, Space.D65_Y);
    return Space.SRGB_TO_XYZ.inverse().after(Space.adapt(from, to)).after(Space.SRGB_TO_XYZ);
  }

  /** The same on linear BT.2020. */
  public static Matrix3 work(double mired, double tint) {
    return Space.SRGB_TO_WORK.after(srgb(mired, tint)).after(Space.WORK_TO_SRGB);
  }

  private static double[] uv(double[] xy) {
    double d = -2 * xy[0] + 12 * xy[1] + 3;
    return new double[] {4 * xy[0] / d, 9 * xy[1] / d};
  }

  private static double[] xyz(double u, double v) {
    double d = 6 * u - 16 * v + 12;
    return Space.xyz(9 * u / d, 4 * v / d);
  }
}
