package illuminar.core.geometry;

/** A projective map of the plane, three rows of three. */
record Matrix(
    double a, double b, double c, double d, double e, double f, double g, double h, double i) {

  static Matrix scale(double by) {
    return new Matrix(by, 0, 0, 0, by, 0, 0, 0, 1);
  }

  static Matrix shift(double x, double y) {
    return new Matrix(1, 0, x, 0, 1, y, 0, 0, 1);
  }

  /** First this, then {@code next}. */
  Matrix then(Matrix n) {
    return new Matrix(
        n.a * a + n.b * d + n.c * g,
        n.a * b + n.b * e + n.c * h,
        n.a * c + n.b * f + n.c * i,
        n.d * a + n.e * d + n.f * g,
        n.d * b + n.e * e + n.f * h,
        n.d * c + n.e * f + n.f * i,
        n.g * a + n.h * d + n.i * g,
        n.g * b + n.h * e + n.i * h,
        n.g * c + n.h * f + n.i * i);
  }

  double determinant() {
    return a * (e * i - f * h) - b * (d * i - f * g) + c * (d * h - e * g);
  }

  Matrix inverse() {
    double n = 1 / determinant();
    return new Matrix(
        n * (e * i - f * h),
        n * (c * h - b * i),
        n * (b * f - c * e),
        n * (f * g - d * i),
        n * (a * i - c * g),
        n * (c * d - a * f),
        n * (d * h - e * g),
        n * (b * g - a * h),
        n * (a * e - b * d));
  }

  double x(double u, double v) {
    return (a * u + b * v + c) / w(u, v);
  }

  double y(double u, double v) {
    return (d * u + e * v + f) / w(u, v);
  }

  /** The denominator; above 0 before the camera. */
  double w(double u, double v) {
    return g * u + h * v + i;
  }

  double[] numbers() {
    return new double[] {a, b, c, d, e, f, g, h, i};
  }
}
