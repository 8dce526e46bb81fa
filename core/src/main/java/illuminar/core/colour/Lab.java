package illuminar.core.colour;

import java.util.List;

/**
 * A CIE 1976 L*a*b* colour relative to D50 (ICC convention). Source: CIE 15:2004.
 *
 * @param l lightness, 0 to 100 for colours up to display white
 * @param a green (−) to red (+)
 * @param b blue (−) to yellow (+)
 */
public record Lab(double l, double a, double b) {
  private static final Matrix3 TO_WORK = Space.WORK_TO_XYZ_D50.inverse();

  /** From XYZ relative to D50, Y = 1 at white. */
  public static Lab ofXyz(double x, double y, double z) {
    double fx = f(x / Space.D50_X);
    double fy = f(y);
    double fz = f(z / Space.D50_Z);
    return new Lab(116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz));
  }

  /** From a linear BT.2020 colour, 1.0 at display white. */
  public static Lab ofWork(double r, double g, double b) {
    double[] xyz = Space.WORK_TO_XYZ_D50.apply(r, g, b);
    return ofXyz(xyz[0], xyz[1], xyz[2]);
  }

  /** From an encoded sRGB colour, each 0 to 1. */
  public static Lab ofSrgb(double r, double g, double b) {
    double[] work = Space.SRGB_TO_WORK.apply(Srgb.decode(r), Srgb.decode(g), Srgb.decode(b));
    return ofWork(work[0], work[1], work[2]);
  }

  /** The linear BT.2020 colour that has these coordinates; may lie outside 0 to 1. */
  public double[] work() {
    double fy = (l + 16) / 116;
    double x = Space.D50_X * back(fy + a / 500);
    double z = Space.D50_Z * back(fy - b / 200);
    return TO_WORK.apply(x, back(fy), z);
  }

  private static double back(double f) {
    double cube = f * f * f;
    return cube > 216.0 / 24389 ? cube : (116 * f - 16) * 27 / 24389;
  }

  /**
   * The mean of colours.
   *
   * @param labs at least one
   */
  public static Lab mean(List<Lab> labs) {
    double n = labs.size();
    return new Lab(
        labs.stream().mapToDouble(Lab::l).sum() / n,
        labs.stream().mapToDouble(Lab::a).sum() / n,
        labs.stream().mapToDouble(Lab::b).sum() / n);
  }

  /** C*ab, the distance from the neutral axis. */
  public double chroma() {
    return Math.hypot(a, b);
  }

  /** CIEDE2000 difference to another colour. */
  public double difference(Lab other) {
    return Ciede2000.difference(this, other);
  }

  private static double f(double t) {
    return t > 216.0 / 24389 ? Math.cbrt(t) : (24389.0 / 27 * t + 16) / 116;
  }
}
