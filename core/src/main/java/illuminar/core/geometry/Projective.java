package illuminar.core.geometry;

import illuminar.core.colour.Matrix3;

/** A projective map of the plane. */
record Projective(Matrix3 m) {

  /** From nine numbers, row by row. */
  static Projective of(
      double a, double b, double c, double d, double e, double f, double g, double h, double i) {
    return new Projective(new Matrix3(a, b, c, d, e, f, g, h, i));
  }

  static Projective scale(double by) {
    return of(by, 0, 0, 0, by, 0, 0, 0, 1);
  }

  static Projective shift(double x, double y) {
    return of(1, 0, x, 0, 1, y, 0, 0, 1);
  }

  /** A turn of the camera about its own axis, clockwise; x lies to the right, y down, z ahead. */
  static Projective roll(double degrees) {
    double c = Math.cos(Math.toRadians(degrees));
    double s = Math.sin(Math.toRadians(degrees));
    return of(c, -s, 0, s, c, 0, 0, 0, 1);
  }

  /** A turn that takes back how far the camera looked up. */
  static Projective pitch(double degrees) {
    double c = Math.cos(Math.toRadians(degrees));
    double s = Math.sin(Math.toRadians(degrees));
    return of(1, 0, 0, 0, c, -s, 0, s, c);
  }

  /** A turn that takes back how far the camera looked to the right. */
  static Projective yaw(double degrees) {
    double c = Math.cos(Math.toRadians(degrees));
    double s = Math.sin(Math.toRadians(degrees));
    return of(c, 0, s, 0, 1, 0, -s, 0, c);
  }

  /** First this, then {@code next}. */
  Projective then(Projective next) {
    return new Projective(next.m.after(m));
  }

  Projective inverse() {
    return new Projective(m.inverse());
  }

  double x(double u, double v) {
    return (m.a() * u + m.b() * v + m.c()) / w(u, v);
  }

  double y(double u, double v) {
    return (m.d() * u + m.e() * v + m.f()) / w(u, v);
  }

  /** The denominator; above 0 before the camera. */
  double w(double u, double v) {
    return m.g() * u + m.h() * v + m.i();
  }

  /** By how much areas at the origin grow. */
  double area() {
    double x = x(0, 0);
    double y = y(0, 0);
    return ((m.a() - m.g() * x) * (m.e() - m.h() * y) - (m.b() - m.h() * x) * (m.d() - m.g() * y))
        / (m.i() * m.i());
  }

  double[] numbers() {
    return new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), m.g(), m.h(), m.i()};
  }
}
