package illuminar.core.geometry;

import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import java.util.function.Function;

/**
 * Draws finished pictures from pictures of their views: one resampling in linear light with a
 * windowed sinc of eight taps (Duchon 1979), held near what lies round each pixel so that nothing
 * rings along windows and lamps.
 */
public final class Laid {
  private static final int TAPS = 8;
  private static final int BEFORE = TAPS / 2 - 1;
  private static final int PHASES = 1024;

  /**
   * Contrast, as a share of their sum, of the pixels round a value from which on it is held, and at
   * which it is held near them: a window beside its frame, where an overshoot is seen as a line.
   */
  private static final float HELD_FROM = 0.5f;

  private static final float HELD = 0.8f;

  /** How far beyond them a held value may lie, of what they differ by, and one that is not. */
  private static final float SLACK = 0.08f;

  private static final float FREE = 1;

  /**
   * Pixels beyond the view's edge that repeat it: sizes are whole numbers, what they show is not.
   */
  private static final double BEYOND = 1.5;

  /** Where what lies behind the camera is looked for: beside every picture. */
  private static final double NOWHERE = -1e6;

  private static final int BAND = 16;

  /** Pixels between the places at which it is looked what a raster needs. */
  private static final int STRIDE = 32;

  private static final float[] KERNEL = kernel();

  private final Projection projection;
  private final int fullWidth;
  private final int fullHeight;

  public Laid(Projection projection, int fullWidth, int fullHeight) {
    this.projection = projection;
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
    double edge = projection.longEdge();
    Point p = projection.toPlane(new Point(view.x() / edge, view.y() / edge));
    return new Point((p.x() - projection.left()) * edge, (p.y() - projection.top()) * edge);
  }

  /** Eight weights for each phase; they add up to 1. */
  private static float[] kernel() {
    float[] all = new float[(PHASES + 1) * TAPS];
    for (int p = 0; p <= PHASES; p++) {
      double[] w = new double[TAPS];
      double sum = 0;
      for (int k = 0; k < TAPS; k++) {
        double t = k - BEFORE - p / (double) PHASES;
        w[k] = sinc(t) * sinc(t / (TAPS / 2.0));
        sum += w[k];
      }
      for (int k = 0; k < TAPS; k++) {
        all[p * TAPS + k] = (float) (w[k] / sum);
      }
    }
    return all;
  }

  private static double sinc(double t) {
    double x = Math.PI * t;
    return Math.abs(t) < 1e-9 ? 1 : Math.abs(t) >= TAPS / 2.0 ? 0 : Math.sin(x) / x;
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
            * projection.longEdge()
            * out.scale();
    int margin = TAPS / 2 + 1 + (int) Math.ceil(fringe);
    Raster whole = Raster.whole(fullWidth, fullHeight, out.scale());
    int left = within((int) Math.floor(x0) - margin, whole.width());
    int top = within((int) Math.floor(y0) - margin, whole.height());
    int right = within((int) Math.ceil(x1) + margin, whole.width());
    int end = within((int) Math.ceil(y1) + margin, whole.height());
    return whole.part(left, top, right - left + 1, end - top + 1);
  }

  private static int within(int v, int size) {
    return Math.max(0, Math.min(size - 1, v));
  }

  /** Where the corner of a pixel of a raster lies in the view at its scale. */
  private void place(Raster out, double i, double j, double[] at) {
    double s = out.scale() * projection.longEdge();
    double x = (out.x() + i) / s + projection.left() - projection.middleX();
    double y = (out.y() + j) / s + projection.top() - projection.middleY();
    Matrix back = projection.back();
    if (back.w(x, y) <= 0) {
      at[0] = at[1] = NOWHERE;
      return;
    }
    double u = back.x(x, y);
    double v = back.y(x, y);
    double k = projection.lens(u, v);
    at[0] = (u * k + projection.middleX()) * s;
    at[1] = (v * k + projection.middleY()) * s;
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
    Picture in = below.apply(from);
    int x = whole(projection.left() * projection.longEdge() * out.scale());
    int y = whole(projection.top() * projection.longEdge() * out.scale());
    if (!projection.moves() && x >= 0 && y >= 0) {
      return in.cut(
          from, new Raster(out.scale(), out.x() + x, out.y() + y, out.width(), out.height()));
    }
    Picture made = Picture.of(out.width(), out.height());
    boolean fringes = projection.red() != 1 || projection.blue() != 1;
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
    return made;
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
    private final Raster out;
    private final Raster from;
    private final double[] u;
    private final double[] v;

    /** First tap of each pixel and its phases; a column of −1 where there is nothing. */
    private final int[] column;

    private final int[] line;
    private final int[] phaseX;
    private final int[] phaseY;

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

    /** Places the pixels of a row in the view, from its middle; long edges. */
    void at(int j) {
      double s = 1 / (out.scale() * projection.longEdge());
      double y = (out.y() + j + 0.5) * s + projection.top() - projection.middleY();
      Matrix m = projection.back();
      for (int i = 0; i < u.length; i++) {
        double x = (out.x() + i + 0.5) * s + projection.left() - projection.middleX();
        double ahead = m.g() * x + m.h() * y + m.i();
        if (ahead <= 0) {
          u[i] = v[i] = NOWHERE;
          continue;
        }
        double w = 1 / ahead;
        double a = (m.a() * x + m.b() * y + m.c()) * w;
        double b = (m.d() * x + m.e() * y + m.f()) * w;
        double k = projection.lens(a, b);
        u[i] = a * k;
        v[i] = b * k;
      }
    }

    /** Finds the taps of a channel that lies by so much farther out. */
    void lay(double farther) {
      double s = out.scale() * projection.longEdge();
      double right = projection.middleX() * 2 * s;
      double end = projection.middleY() * 2 * s;
      for (int i = 0; i < u.length; i++) {
        double x = (u[i] * farther + projection.middleX()) * s;
        double y = (v[i] * farther + projection.middleY()) * s;
        if (x < -BEYOND || y < -BEYOND || x > right + BEYOND || y > end + BEYOND) {
          column[i] = Integer.MIN_VALUE;
          continue;
        }
        double px = x - 0.5 - from.x();
        double py = y - 0.5 - from.y();
        int ix = (int) Math.floor(px);
        int iy = (int) Math.floor(py);
        column[i] = ix - BEFORE;
        line[i] = iy - BEFORE;
        phaseX[i] = TAPS * (int) ((px - ix) * PHASES + 0.5);
        phaseY[i] = TAPS * (int) ((py - iy) * PHASES + 0.5);
      }
    }

    void into(float[] in, float[] made, int to) {
      int w = from.width();
      int h = from.height();
      for (int i = 0; i < column.length; i++) {
        int x = column[i];
        int y = line[i];
        if (x >= 0 && y >= 0 && x + TAPS <= w && y + TAPS <= h) {
          made[to + i] = inner(in, w, y * w + x, phaseX[i], phaseY[i]);
        } else if (x != Integer.MIN_VALUE) {
          made[to + i] = atEdge(in, w, h, x, y, phaseX[i], phaseY[i]);
        }
      }
    }
  }

  private static float inner(float[] in, int w, int at, int px, int py) {
    float a = KERNEL[px];
    float b = KERNEL[px + 1];
    float c = KERNEL[px + 2];
    float d = KERNEL[px + 3];
    float e = KERNEL[px + 4];
    float f = KERNEL[px + 5];
    float g = KERNEL[px + 6];
    float h = KERNEL[px + 7];
    float sum = 0;
    int o = at;
    for (int k = 0; k < TAPS; k++) {
      sum +=
          KERNEL[py + k]
              * (in[o] * a
                  + in[o + 1] * b
                  + in[o + 2] * c
                  + in[o + 3] * d
                  + in[o + 4] * e
                  + in[o + 5] * f
                  + in[o + 6] * g
                  + in[o + 7] * h);
      o += w;
    }
    int m = at + BEFORE * w + BEFORE;
    return near(sum, in[m], in[m + 1], in[m + w], in[m + w + 1]);
  }

  private static float atEdge(float[] in, int w, int h, int x, int y, int px, int py) {
    float sum = 0;
    for (int k = 0; k < TAPS; k++) {
      int row = within(y + k, h) * w;
      float part = 0;
      for (int n = 0; n < TAPS; n++) {
        part += in[row + within(x + n, w)] * KERNEL[px + n];
      }
      sum += part * KERNEL[py + k];
    }
    int x0 = within(x + BEFORE, w);
    int x1 = within(x + BEFORE + 1, w);
    int r0 = within(y + BEFORE, h) * w;
    int r1 = within(y + BEFORE + 1, h) * w;
    return near(sum, in[r0 + x0], in[r0 + x1], in[r1 + x0], in[r1 + x1]);
  }

  /** A value held near the four that it lies between, where they differ much. */
  private static float near(float v, float a, float b, float c, float d) {
    float low = Math.min(Math.min(a, b), Math.min(c, d));
    float high = Math.max(Math.max(a, b), Math.max(c, d));
    if (v >= low && v <= high) {
      return v;
    }
    float contrast = (high - low) / Math.max(1e-6f, Math.abs(high) + Math.abs(low));
    float held = Math.max(0, Math.min(1, (contrast - HELD_FROM) / (HELD - HELD_FROM)));
    float slack = (high - low) * (FREE + (SLACK - FREE) * held);
    return Math.max(low - slack, Math.min(high + slack, v));
  }
}
