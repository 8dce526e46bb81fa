package illuminar.core.geometry;

import illuminar.core.picture.Point;

/**
 * Where the places of a view lie in the plane of its finished picture: the camera turned, the
 * lens's bulge taken out. Both in fractions of the anchor's long edge from its upper left corner.
 */
final class Places {
  /** Of a frame's long edge, in millimetres; focal lengths are given for it. */
  private static final double FRAME = 36;

  private static final int NEWTON = 20;

  /** A place counts as within the view that lies outside by less; long edges. */
  private static final double SLACK = 1e-9;

  private final int longEdge;
  private final double wide;
  private final double high;

  /** From the plane to the ideal view and back, both from the view's middle. */
  private final Projective back;

  private final Projective forth;
  private final double k1;
  private final double k2;

  /** The radius of the corner, long edges. */
  private final double corner;

  Places(Geometry geometry, int fullWidth, int fullHeight) {
    longEdge = Math.max(fullWidth, fullHeight);
    wide = fullWidth / (double) longEdge;
    high = fullHeight / (double) longEdge;
    corner = Math.hypot(wide, high) / 2;
    k1 = -geometry.bulge() / 100;
    k2 = -geometry.outer() / 100;
    forth = forth(geometry);
    back = forth.inverse();
  }

  /** From the ideal view to the plane; the middle stays where it is and as large. */
  private static Projective forth(Geometry g) {
    double pitch = g.pitch() * g.strength();
    double yaw = g.yaw() * g.strength();
    if (g.turn() == 0 && pitch == 0 && yaw == 0) {
      return Projective.scale(1);
    }
    double f = g.focal() / FRAME;
    Projective turned =
        Projective.scale(1 / f)
            .then(Projective.roll(g.turn()))
            .then(Projective.pitch(pitch))
            .then(Projective.yaw(yaw))
            .then(Projective.scale(f));
    return turned
        .then(Projective.shift(-turned.x(0, 0), -turned.y(0, 0)))
        .then(Projective.scale(1 / Math.sqrt(turned.area())));
  }

  int longEdge() {
    return longEdge;
  }

  /** The view's width, long edges. */
  double wide() {
    return wide;
  }

  /** The view's height, long edges. */
  double high() {
    return high;
  }

  Projective back() {
    return back;
  }

  double k1() {
    return k1;
  }

  double k2() {
    return k2;
  }

  double corner() {
    return corner;
  }

  /** The radius at which a ray falls, over that at which it would without the lens's bulge. */
  double lens(double u, double v) {
    double r = (u * u + v * v) / (corner * corner);
    return 1 + r * (k1 + r * k2);
  }

  /** Where a place of the plane lies in the view. */
  Point toView(Point plane) {
    double x = plane.x() - wide / 2;
    double y = plane.y() - high / 2;
    double u = back.x(x, y);
    double v = back.y(x, y);
    double k = lens(u, v);
    return new Point(u * k + wide / 2, v * k + high / 2);
  }

  /** Where a place of the view lies in the plane. */
  Point toPlane(Point view) {
    double u = view.x() - wide / 2;
    double v = view.y() - high / 2;
    double r = Math.hypot(u, v) / corner;
    // the ideal radius, by Newton's method
    double ideal = r;
    for (int n = 0; n < NEWTON; n++) {
      double q = ideal * ideal;
      double slope = Math.max(0.1, 1 + q * (3 * k1 + 5 * q * k2));
      ideal -= (ideal * (1 + q * (k1 + q * k2)) - r) / slope;
    }
    double k = r == 0 ? 1 : ideal / r;
    return new Point(forth.x(u * k, v * k) + wide / 2, forth.y(u * k, v * k) + high / 2);
  }

  /** Whether there is picture at a place of the plane. */
  boolean there(double x, double y) {
    if (!(back.w(x - wide / 2, y - high / 2) > 0)) {
      return false;
    }
    Point p = toView(new Point(x, y));
    return p.x() >= -SLACK && p.y() >= -SLACK && p.x() <= wide + SLACK && p.y() <= high + SLACK;
  }
}
