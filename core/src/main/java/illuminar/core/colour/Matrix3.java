package illuminar.core.colour;

/** A 3×3 matrix, row by row, with the few operations that colour needs. Immutable. */
public record Matrix3(
    double a, double b, double c, double d, double e, double f, double g, double h, double i) {

  /** This matrix applied to (x, y, z). Returns a new array of three. */
  public double[] apply(double x, double y, double z) {
    return new double[] {
      a * x + b * y + c * z, d * x + e * y + f * z, g * x + h * y + i * z,
    };
  }

  /** First {@code first}, then this. */
  public Matrix3 after(Matrix3 first) {
    double[] x = apply(first.a, first.d, first.g);
    double[] y = apply(first.b, first.e, first.h);
    double[] z = apply(first.c, first.f, first.i);
    return new Matrix3(x[0], y[0], z[0], x[1], y[1], z[1], x[2], y[2], z[2]);
  }

  /** The inverse; an {@link ArithmeticException} where there is none. */
  public Matrix3 inverse() {
    double p = e * i - f * h;
    double q = f * g - d * i;
    double r = d * h - e * g;
    double det = a * p + b * q + c * r;
    if (Math.abs(det) < 1e-300) {
      throw new ArithmeticException("matrix has no inverse");
    }
    return new Matrix3(
        p / det,
        (c * h - b * i) / det,
        (b * f - c * e) / det,
        q / det,
        (a * i - c * g) / det,
        (c * d - a * f) / det,
        r / det,
        (b * g - a * h) / det,
        (a * e - b * d) / det);
  }

  static Matrix3 diagonal(double x, double y, double z) {
    return new Matrix3(x, 0, 0, 0, y, 0, 0, 0, z);
  }

  /** The matrix whose nine numbers are given row by row, applied; {@code out} is written. */
  public static void apply(float[] m, float x, float y, float z, float[] out) {
    out[0] = m[0] * x + m[1] * y + m[2] * z;
    out[1] = m[3] * x + m[4] * y + m[5] * z;
    out[2] = m[6] * x + m[7] * y + m[8] * z;
  }

  /**
   * The matrix applied to {@code n} colours held in three planes, in loops that the compiler works
   * out for eight at once.
   *
   * @param m nine numbers row by row
   * @param in from {@code at} on; not modified
   * @param out other planes, from {@code to} on; written
   */
  public static void apply(float[] m, float[][] in, int at, float[][] out, int to, int n) {
    for (int c = 0; c < 3; c++) {
      row(m[3 * c], m[3 * c + 1], m[3 * c + 2], in, at, out[c], to, n);
    }
  }

  private static void row(
      float a, float b, float c, float[][] in, int at, float[] out, int to, int n) {
    float[] x = in[0];
    float[] y = in[1];
    float[] z = in[2];
    for (int i = 0; i < n; i++) {
      out[to + i] = a * x[at + i] + b * y[at + i] + c * z[at + i];
    }
  }

  /** The nine numbers row by row. */
  public float[] floats() {
    return new float[] {
      (float) a, (float) b, (float) c, (float) d, (float) e, (float) f, (float) g, (float) h,
      (float) i
    };
  }
}
