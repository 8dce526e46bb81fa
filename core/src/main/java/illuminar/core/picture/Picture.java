package illuminar.core.picture;

import illuminar.core.colour.Space;

/** Three planes of linear BT.2020 light, 1.0 at display white, unbounded. Arrays are shared. */
public record Picture(int width, int height, float[] r, float[] g, float[] b) {

  public static Picture of(int width, int height) {
    int n = width * height;
    return new Picture(width, height, new float[n], new float[n], new float[n]);
  }

  public float[] channel(int c) {
    return c == 0 ? r : c == 1 ? g : b;
  }

  /** Luminance Y of every pixel, as a new plane. */
  public Plane luminance() {
    Plane y = Plane.of(width, height);
    for (int i = 0; i < r.length; i++) {
      y.data()[i] = Space.luminance(r[i], g[i], b[i]);
    }
    return y;
  }

  /** Luminance Y of one pixel. */
  public float luminanceAt(int i) {
    return Space.luminance(r[i], g[i], b[i]);
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

  /** Copies rows of this picture into one of the same width. */
  public void rowsInto(Picture out, int fromRow, int rows, int toRow) {
    for (int c = 0; c < 3; c++) {
      System.arraycopy(channel(c), fromRow * width, out.channel(c), toRow * width, rows * width);
    }
  }
}
