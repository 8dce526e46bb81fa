package illuminar.core.picture;

/** A place in the view, as fractions of the anchor's long edge from its upper left corner. */
public record Point(double x, double y) {
  public Point {
    if (!Double.isFinite(x) || !Double.isFinite(y)) {
      throw new IllegalArgumentException("a point needs finite coordinates");
    }
  }
}
