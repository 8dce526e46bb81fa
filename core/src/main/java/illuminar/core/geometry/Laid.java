package illuminar.core.geometry;

import illuminar.core.colour.Space;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import java.util.function.Function;

/** Draws finished pictures from pictures of their views: one resampling in linear light. */
public final class Laid {
  /**
   * Pixels beyond the view's edge that repeat it: sizes are whole numbers, what they show is not.
   */
  private static final double BEYOND = 1.5;

  /** Where what lies behind the camera is looked for: beside every picture. */
  private static final double NOWHERE = -1e6;

  private static final int BAND = 16;

  private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
  private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();

  /** Pixels between the places at which it is looked what a raster needs. */
  private static final int STRIDE = 32;

  private final Projection projection;
  private final Places places;
  private final int fullWidth;
  private final int fullHeight;

  public Laid(Projection projection, int fullWidth, int fullHeight) {
    this.projection = projection;
    places = projection.places();
    this.fullWidth = fullWidth;
    this.fullHeight = fullHeight;
  }

  /** Finished pictures of a geometry. */
  public static Laid of(Geometry geometry, int fullWidth, int fullHeight) {
    return new Laid(Projection.of(geometry, fullWidth, fullHeight), fullWidth, fullHeight);
  }

  public Projection projection() {
    return projection;
  }

  /** Where a place of the view lies in the finished picture; both in pixels at full size. */
  public Point shown(Point view) {
    double edge = places.longEdge();
    Point p = projection.toPlane(new Point(view.x() / edge, view.y() / edge));
    return new Point((p.x() - projection.left()) * edge, (p.y() - projection.top()) * edge);
  }

  /**
   * What of the view is needed for a piece of the finished picture, at the same scale.
   *
   * @param out a piece of {@link Projection#whole}
   */
  public Raster below(Raster out) {
    double[] at = new double[2];
    double x0 = Double.MAX_VALUE;
    double y0 = Double.MAX_VALUE;
    double x1 = -Double.MAX_VALUE;
    double y1 = -Double.MAX_VALUE;
    for (int j = 0; j <= out.height() + STRIDE; j += STRIDE) {
      for (int i = 0; i <= out.width() + STRIDE; i += STRIDE) {
        place(out, Math.min(i, out.width()), Math.min(j, out.height()), at);
        x0 = Math.min(x0, at[0]);
        y0 = Math.min(y0, at[1]);
        x1 = Math.max(x1, at[0]);
        y1 = Math.max(y1, at[1]);
      }
    }
    double fringe =
        (Math.abs(projection.red() - 1) + Math.abs(projection.blue() - 1))
            * places.longEdge()
            * out.scale();
    int margin = Sinc.TAPS / 2 + 1 + (int) Math.ceil(fringe);
    Raster whole = Raster.whole(fullWidth, fullHeight, out.scale());
    int left = within((int) Math.floor(x0) - margin, whole.width());
    int top = within((int) Math.floor(y0) - margin, whole.height());
    int right = within((int) Math.ceil(x1) + margin, whole.width());
    int end = within((int) Math.ceil(y1) + margin, whole.height());
    return whole.part(left, top, right - left + 1, end - top + 1);
  }

  /** An index held within a row or a column. */
  static int within(int v, int size) {
    return Math.max(0, Math.min(size - 1, v));
  }

  /** Where a place of a raster lies in the view, from its middle; long edges. */
  private void seen(Raster out, double i, double j, double[] at) {
    double s = 1 / (out.scale() * places.longEdge());
    double x = (out.x() + i) * s + projection.left() - places.wide() / 2;
    double y = (out.y() + j) * s + projection.top() - places.high() / 2;
    Projective back = places.back();
    if (back.w(x, y) <= 0) {
      at[0] = at[1] = NOWHERE;
      return;
    }
    double u = back.x(x, y);
    double v = back.y(x, y);
    double k = places.lens(u, v);
    at[0] = u * k;
    at[1] = v * k;
  }

  /** Where a place of a raster lies in the view at its scale. */
  private void place(Raster out, double i, double j, double[] at) {
    seen(out, i, j, at);
    double s = out.scale() * places.longEdge();
    at[0] = (at[0] + places.wide() / 2) * s;
    at[1] = (at[1] + places.high() / 2) * s;
  }

  /**
   * A piece of the finished picture; black where there is nothing. What is drawn below itself where
   * that is the finished picture.
   *
   * @param below draws the view at any raster
   */
  public Picture picture(Raster out, Function<Raster, Picture> below) {
    if (projection.none()) {
      return below.apply(out);
    }
    Raster from = below(out);
    boolean fringes = projection.red() != 1 || projection.blue() != 1;
    // a lens has drawn the channels of the camera's file, not those in which passes work
    Picture in = fringes ? below.apply(from).through(TO_SRGB) : below.apply(from);
    int x = whole(projection.left() * places.longEdge() * out.scale());
    int y = whole(projection.top() * places.longEdge() * out.scale());
    if (!projection.moves() && x >= 0 && y >= 0) {
      return in.cut(
          from, new Raster(out.scale(), out.x() + x, out.y() + y, out.width(), out.height()));
    }
    Picture made = Picture.of(out.width(), out.height());
    Bands.of(
        out.height(),
        BAND,
        (y0, y1) -> {
          Row row = new Row(out, from);
          for (int j = y0; j < y1; j++) {
            row.at(j);
            for (int c = 0; c < 3; c++) {
              if (c == 0 || fringes) {
                row.lay(c == 0 ? projection.red() : c == 1 ? 1 : projection.blue());
              }
              row.into(in.channel(c), made.channel(c), j * out.width());
            }
          }
        });
    return fringes ? made.through(TO_WORK) : made;
  }

  /** A length as a whole number of pixels; less than 0 where it is none. */
  private static int whole(double v) {
    int n = (int) Math.rint(v);
    return Math.abs(v - n) < 1e-6 ? n : -1;
  }

  /** A piece of a map of the view, laid like the picture; {@code nothing} where there is none. */
  public Plane plane(Raster out, Function<Raster, Plane> below, float nothing) {
    if (projection.none()) {
      return below.apply(out);
    }
    Raster from = below(out);
    Plane in = below.apply(from);
    Plane made = Plane.filled(out.width(), out.height(), nothing);
    double[] at = new double[2];
    for (int j = 0; j < out.height(); j++) {
      for (int i = 0; i < out.width(); i++) {
        place(out, i + 0.5, j + 0.5, at);
        double x = at[0] - from.x();
        double y = at[1] - from.y();
        if (x >= 0 && y >= 0 && x < from.width() && y < from.height()) {
          made.data()[j * out.width() + i] = linear(in, x - 0.5, y - 0.5);
        }
      }
    }
    return made;
  }

  private static float linear(Plane in, double x, double y) {
    int x0 = within((int) Math.floor(x), in.width());
    int y0 = within((int) Math.floor(y), in.height());
    int x1 = within((int) Math.floor(x) + 1, in.width());
    int y1 = within((int) Math.floor(y) + 1, in.height());
    float fx = (float) (x - Math.floor(x));
    float fy = (float) (y - Math.floor(y));
    float a = in.at(x0, y0) + (in.at(x1, y0) - in.at(x0, y0)) * fx;
    float b = in.at(x0, y1) + (in.at(x1, y1) - in.at(x0, y1)) * fx;
    return a + (b - a) * fy;
  }

  /** One row of a raster: where its pixels lie in the piece of the view below. */
  private final class Row {
    private static final int NONE = Integer.MIN_VALUE;

    private final Raster out;
    private final Raster from;

    /** Where they lie from the view's middle, long edges. */
    private final double[] u;

    private final double[] v;

    /** First tap of each pixel and its phases; a column of {@link #NONE} where there is nothing. */
    private final int[] column;

    private final int[] line;
    private final int[] phaseX;
    private final int[] phaseY;

    private final double[] at = new double[2];

    Row(Raster out, Raster from) {
      this.out = out;
      this.from = from;
      u = new double[out.width()];
      v = new double[out.width()];
      column = new int[out.width()];
      line = new int[out.width()];
      phaseX = new int[out.width()];
      phaseY = new int[out.width()];
    }

    /** Places the pixels of a row in the view. */
    void at(int j) {
      for (int i = 0; i < u.length; i++) {
        seen(out, i + 0.5, j + 0.5, at);
        u[i] = at[0];
        v[i] = at[1];
      }
    }

    /** Finds the taps of a channel that lies by so much farther out. */
    void lay(double farther) {
      double s = out.scale() * places.longEdge();
      double right = places.wide() * s;
      double end = places.high() * s;
      for (int i = 0; i < u.length; i++) {
        double x = (u[i] * farther + places.wide() / 2) * s;
        double y = (v[i] * farther + places.high() / 2) * s;
        if (x < -BEYOND || y < -BEYOND || x > right + BEYOND || y > end + BEYOND) {
          column[i] = NONE;
          continue;
        }
        double px = x - 0.5 - from.x();
        double py = y - 0.5 - from.y();
        int ix = (int) Math.floor(px);
        int iy = (int) Math.floor(py);
        column[i] = ix - Sinc.BEFORE;
        line[i] = iy - Sinc.BEFORE;
        phaseX[i] = Sinc.phase(px - ix);
        phaseY[i] = Sinc.phase(py - iy);
      }
    }

    void into(float[] in, float[] made, int to) {
      for (int i = 0; i < column.length; i++) {
        if (column[i] != NONE) {
          made[to + i] =
              Sinc.at(in, from.width(), from.height(), column[i], line[i], phaseX[i], phaseY[i]);
        }
      }
    }
  }
}
