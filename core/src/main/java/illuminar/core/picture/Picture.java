package illuminar.core.picture;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;

/** Three planes of linear BT.2020 light, 1.0 at display white, unbounded. Arrays are shared. */
public record Picture(int width, int height, float[] r, float[] g, float[] b) {

  public static Picture of(int width, int height) {
    int n = width * height;
    return new Picture(width, height, new float[n], new float[n], new float[n]);
  }

  public float[] channel(int c) {
    return c == 0 ? r : c == 1 ? g : b;
  }

  /** The three planes themselves. */
  public float[][] planes() {
    return new float[][] {r, g, b};
  }

  /** Luminance Y of every pixel, as a new plane. */
  public Plane luminance() {
    Plane y = Plane.of(width, height);
    for (int i = 0; i < r.length; i++) {
      y.data()[i] = Space.luminance(r[i], g[i], b[i]);
    }
    return y;
  }

  /** Every colour through a matrix, as a new picture. */
  public Picture through(float[] matrix) {
    Picture out = of(width, height);
    Bands.of(
        height,
        32,
        (from, to) ->
            Matrix3.apply(
                matrix, planes(), from * width, out.planes(), from * width, (to - from) * width));
    return out;
  }

  /** Luminance as it is seen, by sRGB's curve, as a new plane. */
  public Plane tones() {
    Plane y = luminance();
    for (int i = 0; i < y.data().length; i++) {
      y.data()[i] = Srgb.encodeFast(y.data()[i]);
    }
    return y;
  }

  /** Luminance Y of one pixel. */
  public float luminanceAt(int i) {
    return Space.luminance(r[i], g[i], b[i]);
  }

  /** The greatest of one pixel's channels. */
  public float mostAt(int i) {
    return Math.max(r[i], Math.max(g[i], b[i]));
  }

  /**
   * Mixes a colour into one pixel.
   *
   * @param share of the colour, 0 to 1
   */
  public void mix(int i, float[] colour, float share) {
    r[i] += (colour[0] - r[i]) * share;
    g[i] += (colour[1] - g[i]) * share;
    b[i] += (colour[2] - b[i]) * share;
  }

  public Picture copy() {
    return new Picture(width, height, r.clone(), g.clone(), b.clone());
  }

  /**
   * The piece of this picture at {@code whole} that lies at {@code part}; this picture itself where
   * that is all of it.
   */
  public Picture part(Raster whole, Raster part) {
    return whole.equals(part)
        ? this
        : new Picture(
            part.width(),
            part.height(),
            part(r, whole, part),
            part(g, whole, part),
            part(b, whole, part));
  }

  private static float[] part(float[] data, Raster whole, Raster part) {
    float[] out = new float[part.pixels()];
    for (int j = 0; j < part.height(); j++) {
      int at = (j + part.y() - whole.y()) * whole.width() + part.x() - whole.x();
      System.arraycopy(data, at, out, j * part.width(), part.width());
    }
    return out;
  }

  /** The piece at {@code part}, always a copy. */
  public Picture cut(Raster whole, Raster part) {
    return whole.equals(part) ? copy() : part(whole, part);
  }

  /**
   * Mixes a row towards other colours.
   *
   * @param at index of the row's first pixel
   * @param colours three rows
   * @param amount 0 leaves a pixel, 1 replaces it; columns {@code from} up to {@code to} count
   */
  public void mix(int at, float[][] colours, float[] amount, int from, int to) {
    for (int c = 0; c < 3; c++) {
      mix(channel(c), at, colours[c], amount, from, to);
    }
  }

  private static void mix(float[] own, int at, float[] other, float[] amount, int from, int to) {
    for (int x = from; x < to; x++) {
      own[at + x] += (other[x] - own[at + x]) * amount[x];
    }
  }

  /**
   * Multiplies a row.
   *
   * @param at index of the row's first pixel
   * @param factor of each column from {@code from} up to {@code to}
   */
  public void multiply(int at, float[] factor, int from, int to) {
    for (int c = 0; c < 3; c++) {
      multiply(channel(c), at, factor, from, to);
    }
  }

  private static void multiply(float[] own, int at, float[] factor, int from, int to) {
    for (int x = from; x < to; x++) {
      own[at + x] *= factor[x];
    }
  }

  /**
   * Tones of {@code n} pixels in stops below white, as {@link Stops#of} gives them.
   *
   * @param at first pixel
   * @param out written from {@code to} on
   */
  public void stops(int at, int n, float[] out, int to) {
    for (int i = 0; i < n; i++) {
      out[to + i] = Space.luminance(r[at + i], g[at + i], b[at + i]);
    }
    for (int i = to; i < to + n; i++) {
      out[i] = Stops.of(out[i]);
    }
  }

  /** Copies rows of this picture into one of the same width. */
  public void rowsInto(Picture out, int fromRow, int rows, int toRow) {
    into(out, 0, fromRow, 0, toRow, width, rows);
  }

  /** Copies a rectangle of this picture into another. */
  public void into(Picture out, int x, int y, int toX, int toY, int w, int h) {
    for (int c = 0; c < 3; c++) {
      for (int j = 0; j < h; j++) {
        System.arraycopy(
            channel(c), (y + j) * width + x, out.channel(c), (toY + j) * out.width + toX, w);
      }
    }
  }

  /**
   * The mean of every {@code factor} × {@code factor} pixels.
   *
   * @param whole where this picture lies
   * @param exact {@link Raster#finer} of the raster wanted; what lies beyond this picture's edge
   *     repeats the edge
   */
  public Picture averaged(Raster whole, Raster exact, int factor) {
    Picture out = of(exact.width() / factor, exact.height() / factor);
    int left = exact.x() - whole.x();
    int top = exact.y() - whole.y();
    Bands.of(
        out.height,
        32,
        (from, to) -> {
          for (int c = 0; c < 3; c++) {
            for (int y = from; y < to; y++) {
              for (int v = 0; v < factor; v++) {
                int row = Math.min(height - 1, top + y * factor + v) * width;
                addRow(channel(c), row, left, factor, out.channel(c), y * out.width, out.width);
              }
            }
          }
        });
    return out;
  }

  private void addRow(float[] in, int row, int left, int factor, float[] sum, int at, int n) {
    float share = 1f / (factor * factor);
    int safe = Math.max(0, Math.min(n, (width - left) / factor));
    for (int x = 0; x < n; x++) {
      float s = 0;
      for (int u = 0; u < factor; u++) {
        int k = left + x * factor + u;
        s += in[row + (x < safe ? k : Math.min(width - 1, k))];
      }
      sum[at + x] += s * share;
    }
  }
}
