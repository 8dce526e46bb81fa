package illuminar.core.frame;

import illuminar.core.picture.Point;

/**
 * Where a point of the anchor lies in another frame: turned and scaled about the picture's centre,
 * then moved. Lengths are pixels at full size.
 *
 * <p>x' = cx + a·(x − cx) − b·(y − cy) + dx, y' = cy + b·(x − cx) + a·(y − cy) + dy.
 */
public record Similarity(double a, double b, double dx, double dy) {
  public static final Similarity NONE = new Similarity(1, 0, 0, 0);

  /** From an angle in degrees, a scale and a shift in pixels. */
  public static Similarity of(double degrees, double scale, double dx, double dy) {
    double r = Math.toRadians(degrees);
    return new Similarity(scale * Math.cos(r), scale * Math.sin(r), dx, dy);
  }

  public double degrees() {
    return Math.toDegrees(Math.atan2(b, a));
  }

  public double scale() {
    return Math.hypot(a, b);
  }

  /** First this, then {@code next}. */
  public Similarity then(Similarity next) {
    return new Similarity(
        next.a * a - next.b * b,
        next.b * a + next.a * b,
        next.a * dx - next.b * dy + next.dx,
        next.b * dx + next.a * dy + next.dy);
  }

  /**
   * Where a place lies after the move.
   *
   * @param width of the picture, pixels at full size; {@code height} likewise
   */
  public Point carry(Point p, int width, int height) {
    double longEdge = Math.max(width, height);
    double x = p.x() * longEdge - width / 2.0;
    double y = p.y() * longEdge - height / 2.0;
    return new Point(
        (width / 2.0 + a * x - b * y + dx) / longEdge,
        (height / 2.0 + b * x + a * y + dy) / longEdge);
  }

  public Similarity inverse() {
    double n = a * a + b * b;
    double ia = a / n;
    double ib = -b / n;
    return new Similarity(ia, ib, -(ia * dx - ib * dy), -(ib * dx + ia * dy));
  }

  /** The same move on a picture of another size. */
  public Similarity sized(double factor) {
    return new Similarity(a, b, dx * factor, dy * factor);
  }

  /** How far a point is carried from where {@code other} carries it; offsets from the centre. */
  public double apart(Similarity other, double fromCentreX, double fromCentreY) {
    double ex = (a - other.a) * fromCentreX - (b - other.b) * fromCentreY + dx - other.dx;
    double ey = (b - other.b) * fromCentreX + (a - other.a) * fromCentreY + dy - other.dy;
    return Math.hypot(ex, ey);
  }

  public boolean isNone() {
    return a == 1 && b == 0 && dx == 0 && dy == 0;
  }
}
