package illuminar.core.geometry;

import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;

/**
 * Where the pixels of a finished picture lie in its view. Places in either are fractions of the
 * anchor's long edge: in the view from its upper left corner, in the plane of the finished picture
 * from where that corner lay, so that without any geometry both are the same.
 */
public final class Projection {
  private final Places places;
  private final double red;
  private final double blue;
  private final boolean moves;
  private final double left;
  private final double top;
  private final int width;
  private final int height;

  private Projection(Geometry geometry, int fullWidth, int fullHeight, boolean everything) {
    places = new Places(geometry, fullWidth, fullHeight);
    red = 1 + geometry.red() / 100;
    blue = 1 + geometry.blue() / 100;
    moves = geometry.moves();
    Kept kept = new Kept(places, moves);
    double[] box = everything ? kept.all() : kept.held(geometry.crop());
    left = box[0];
    top = box[1];
    width = Math.max(1, (int) Math.round(box[2] * places.longEdge()));
    height = Math.max(1, (int) Math.round(box[3] * places.longEdge()));
  }

  /** Of the picture as it is finished: what was cut is held within the picture. */
  public static Projection of(Geometry geometry, int fullWidth, int fullHeight) {
    return new Projection(geometry, fullWidth, fullHeight, false);
  }

  /** The same with nothing cut: all that there is, and empty corners. */
  public static Projection everything(Geometry geometry, int fullWidth, int fullHeight) {
    return new Projection(geometry, fullWidth, fullHeight, true);
  }

  /** Width of the finished picture, pixels at full size. */
  public int width() {
    return width;
  }

  /** Height of the finished picture, pixels at full size. */
  public int height() {
    return height;
  }

  /** The anchor's long edge, pixels at full size. */
  public int longEdge() {
    return places.longEdge();
  }

  /** Left edge of the finished picture in the plane. */
  public double left() {
    return left;
  }

  /** Upper edge of the finished picture in the plane. */
  public double top() {
    return top;
  }

  /** The whole finished picture at a scale. */
  public Raster whole(double scale) {
    return Raster.whole(width, height, scale);
  }

  /** Whether the finished picture is the view as it lies. */
  public boolean none() {
    return !moves
        && left == 0
        && top == 0
        && width == Math.round(places.wide() * places.longEdge())
        && height == Math.round(places.high() * places.longEdge());
  }

  /** Whether pixels lie between others, but for what is cut. */
  boolean moves() {
    return moves;
  }

  Places places() {
    return places;
  }

  /** How much farther out red lies than green; {@link #blue} likewise. */
  double red() {
    return red;
  }

  double blue() {
    return blue;
  }

  /** Where a place of the plane lies in the view. */
  public Point toView(Point plane) {
    return places.toView(plane);
  }

  /** Where a place of the view lies in the plane. */
  public Point toPlane(Point view) {
    return places.toPlane(view);
  }

  /**
   * The numbers with which an interface places what lies on the picture.
   *
   * @param back nine numbers, row by row: from the plane to the ideal view, both from the middle
   * @param k1 of the lens; {@code k2} likewise
   * @param corner radius at which the lens's ρ is 1
   * @param left of the finished picture in the plane; {@code top} likewise
   * @param width of the finished picture, pixels at full size; {@code height} likewise
   */
  public record Lay(
      double[] back,
      double k1,
      double k2,
      double corner,
      double left,
      double top,
      int width,
      int height) {}

  /** The numbers with which an interface places what lies on the picture. */
  public Lay lay() {
    return new Lay(
        places.back().numbers(),
        places.k1(),
        places.k2(),
        places.corner(),
        left,
        top,
        width,
        height);
  }
}
