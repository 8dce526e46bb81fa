package illuminar.core.geometry;

import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;

/**
 * Where the pixels of a finished picture lie in its view. Places in either are fractions of the
 * anchor's long edge: in the view from its upper left corner, in the plane of the finished picture
 * from where that corner lay, so that without any geometry both are the same.
 */
public final class Projection {
  /** Of a frame's long edge, in millimetres; focal lengths are given for it. */
  private static final double FRAME = 36;

  /** Places on each side of a rectangle at which it is looked whether there is picture. */
  private static final int PROBES = 24;

  /** A place counts as within the view that lies outside by less; long edges. */
  private static final double SLACK = 1e-9;

  private static final int NEWTON = 20;

  private final double wide;
  private final double high;
  private final int longEdge;

  /** From the plane to the ideal view and back, both from the view's centre. */
  private final Matrix back;

  private final Matrix forth;
  private final double k1;
  private final double k2;

  /** The radius of the corner, long edges. */
  private final double corner;

  private final double red;
  private final double blue;
  private final boolean moves;
  private final double left;
  private final double top;
  private final int width;
  private final int height;

  private Projection(Geometry geometry, int fullWidth, int fullHeight, Kept what) {
    longEdge = Math.max(fullWidth, fullHeight);
    wide = fullWidth / (double) longEdge;
    high = fullHeight / (double) longEdge;
    corner = Math.hypot(wide, high) / 2;
    k1 = -geometry.bulge() / 100;
    k2 = -geometry.outer() / 100;
    red = 1 + geometry.red() / 100;
    blue = 1 + geometry.blue() / 100;
    moves = geometry.moves();
    forth = forth(geometry);
    back = forth.inverse();
    double[] box =
        switch (what) {
          case CROP -> held(geometry.crop());
          case ALL -> all();
          case FRAME -> new double[] {0, 0, wide, high};
        };
    left = box[0];
    top = box[1];
    width = Math.max(1, (int) Math.round(box[2] * longEdge));
    height = Math.max(1, (int) Math.round(box[3] * longEdge));
  }

  /** How much of the plane is kept. */
  private enum Kept {
    CROP,
    ALL,
    /** What lies where the anchor lay. */
    FRAME
  }

  /** Of the picture as it is finished: what was cut is held within the picture. */
  public static Projection of(Geometry geometry, int fullWidth, int fullHeight) {
    return new Projection(geometry, fullWidth, fullHeight, Kept.CROP);
  }

  /** The same with nothing cut: all that there is, and empty corners. */
  public static Projection everything(Geometry geometry, int fullWidth, int fullHeight) {
    return new Projection(geometry, fullWidth, fullHeight, Kept.ALL);
  }

  /** The same for places alone, without looking for what is kept. */
  static Projection places(Geometry geometry, int fullWidth, int fullHeight) {
    return new Projection(geometry, fullWidth, fullHeight, Kept.FRAME);
  }

  /** From the ideal view to the plane; the middle stays where it is and as large. */
  private static Matrix forth(Geometry g) {
    if (g.turn() == 0 && g.pitch() == 0 && g.yaw() == 0) {
      return Matrix.scale(1);
    }
    double f = g.focal() / FRAME;
    Matrix turned =
        Matrix.scale(1 / f)
            .then(about(g.turn(), 0, 0))
            .then(about(0, g.pitch(), 0))
            .then(about(0, 0, g.yaw()))
            .then(Matrix.scale(f));
    double w = turned.i();
    double x = turned.x(0, 0);
    double y = turned.y(0, 0);
    double area =
        ((turned.a() - turned.g() * x) * (turned.e() - turned.h() * y)
                - (turned.b() - turned.h() * x) * (turned.d() - turned.g() * y))
            / (w * w);
    return turned.then(Matrix.shift(-x, -y)).then(Matrix.scale(1 / Math.sqrt(area)));
  }

  /** A turn about one axis of the camera: x to the right, y down, z forwards. */
  private static Matrix about(double roll, double pitch, double yaw) {
    double angle = Math.toRadians(roll + pitch + yaw);
    double c = Math.cos(angle);
    double s = Math.sin(angle);
    if (roll != 0) {
      return new Matrix(c, -s, 0, s, c, 0, 0, 0, 1);
    }
    return pitch != 0
        ? new Matrix(1, 0, 0, 0, c, -s, 0, s, c)
        : new Matrix(c, 0, s, 0, 1, 0, -s, 0, c);
  }

  /** Width of the finished picture, pixels at full size. */
  public int width() {
    return width;
  }

  /** Height of the finished picture, pixels at full size. */
  public int height() {
    return height;
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
        && width == Math.round(wide * longEdge)
        && height == Math.round(high * longEdge);
  }

  /** Whether pixels lie between others, but for what is cut. */
  boolean moves() {
    return moves;
  }

  int longEdge() {
    return longEdge;
  }

  double red() {
    return red;
  }

  double blue() {
    return blue;
  }

  /** The radius at which a ray falls, over that at which it would without the lens's bulge. */
  double lens(double u, double v) {
    double r = (u * u + v * v) / (corner * corner);
    return 1 + r * (k1 + r * k2);
  }

  Matrix back() {
    return back;
  }

  double middleX() {
    return wide / 2;
  }

  double middleY() {
    return high / 2;
  }

  /** Where a place of the plane lies in the view. */
  public Point toView(Point plane) {
    double x = plane.x() - wide / 2;
    double y = plane.y() - high / 2;
    double u = back.x(x, y);
    double v = back.y(x, y);
    double k = lens(u, v);
    return new Point(u * k + wide / 2, v * k + high / 2);
  }

  /** Where a place of the view lies in the plane. */
  public Point toPlane(Point view) {
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

  private boolean there(double x, double y) {
    if (!(back.w(x - wide / 2, y - high / 2) > 0)) {
      return false;
    }
    Point p = toView(new Point(x, y));
    return p.x() >= -SLACK && p.y() >= -SLACK && p.x() <= wide + SLACK && p.y() <= high + SLACK;
  }

  /** Whether there is picture in all of a rectangle: left, top, width, height. */
  private boolean filled(double... box) {
    for (int k = 0; k <= PROBES; k++) {
      double t = k / (double) PROBES;
      double x = box[0] + t * box[2];
      double y = box[1] + t * box[3];
      if (!there(x, box[1])
          || !there(x, box[1] + box[3])
          || !there(box[0], y)
          || !there(box[0] + box[2], y)) {
        return false;
      }
    }
    return true;
  }

  /** What is kept: as it was placed, as far as there is picture. */
  private double[] held(Crop crop) {
    if (!crop.placed()) {
      return largest(crop.ratio() == 0 ? wide / high : crop.ratio());
    }
    double[] box = {crop.left(), crop.top(), crop.width(), crop.height()};
    if (filled(box)) {
      return box;
    }
    double[] less =
        grown(
            crop.left() + crop.width() / 2,
            crop.top() + crop.height() / 2,
            box[2] / box[3],
            box[2]);
    return less[2] > 0 ? less : largest(box[2] / box[3]);
  }

  /** The largest rectangle of a ratio about a place, no wider than {@code most}; 0 for none. */
  private double[] grown(double x, double y, double ratio, double most) {
    double low = 0;
    double high = most;
    for (int n = 0; n < 40; n++) {
      double w = (low + high) / 2;
      if (filled(x - w / 2, y - w / ratio / 2, w, w / ratio)) {
        low = w;
      } else {
        high = w;
      }
    }
    return new double[] {x - low / 2, y - low / ratio / 2, low, low / ratio};
  }

  /** The largest rectangle of a ratio that is all picture. */
  private double[] largest(double ratio) {
    double most = Math.min(wide, high * ratio);
    if (!moves) {
      return new double[] {(wide - most) / 2, (high - most / ratio) / 2, most, most / ratio};
    }
    double x = wide / 2;
    double y = high / 2;
    double[] best = grown(x, y, ratio, 2);
    for (double step = 0.08; step > 0.0004; ) {
      double[] better = best;
      for (int k = 0; k < 8; k++) {
        double angle = Math.PI * k / 4;
        double[] other = grown(x + step * Math.cos(angle), y + step * Math.sin(angle), ratio, 2);
        better = other[2] > better[2] + 1e-7 ? other : better;
      }
      if (better == best) {
        step /= 2;
      } else {
        best = better;
        x = best[0] + best[2] / 2;
        y = best[1] + best[3] / 2;
      }
    }
    return best;
  }

  /** The box round all that there is, no more than half as large again as the view each way. */
  private double[] all() {
    double x0 = Double.MAX_VALUE;
    double y0 = Double.MAX_VALUE;
    double x1 = -Double.MAX_VALUE;
    double y1 = -Double.MAX_VALUE;
    for (int k = 0; k <= PROBES; k++) {
      double t = k / (double) PROBES;
      double[][] edge = {{t * wide, 0}, {t * wide, high}, {0, t * high}, {wide, t * high}};
      for (double[] e : edge) {
        Point p = toPlane(new Point(e[0], e[1]));
        x0 = Math.min(x0, p.x());
        y0 = Math.min(y0, p.y());
        x1 = Math.max(x1, p.x());
        y1 = Math.max(y1, p.y());
      }
    }
    // whole pixels, so that what only is cut needs no resampling
    x0 = Math.floor(Math.max(x0, -wide / 4) * longEdge) / longEdge;
    y0 = Math.floor(Math.max(y0, -high / 4) * longEdge) / longEdge;
    x1 = Math.ceil(Math.min(x1, wide * 5 / 4) * longEdge) / longEdge;
    y1 = Math.ceil(Math.min(y1, high * 5 / 4) * longEdge) / longEdge;
    return new double[] {x0, y0, x1 - x0, y1 - y0};
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
    return new Lay(back.numbers(), k1, k2, corner, left, top, width, height);
  }
}
