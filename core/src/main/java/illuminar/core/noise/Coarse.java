package illuminar.core.noise;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * The means of every 4 × 4 pixels of a piece of a view, which of them by the whole view.
 *
 * @param raster where the piece lies
 * @param left of the means, counted over the view; {@code top} likewise
 */
record Coarse(Raster raster, int left, int top, Picture means) {
  /** Pixels on a side of a coarse one. */
  static final int SIDE = 4;

  /** The means of the pixels that are one coarse pixel of the view. */
  static Coarse of(Picture p, Raster raster) {
    int left = Math.floorDiv(raster.x(), SIDE);
    int top = Math.floorDiv(raster.y(), SIDE);
    int w = Math.floorDiv(raster.x() + p.width() - 1, SIDE) - left + 1;
    int h = Math.floorDiv(raster.y() + p.height() - 1, SIDE) - top + 1;
    Picture out = Picture.of(w, h);
    int[] count = new int[w * h];
    int dx = Math.floorMod(raster.x(), SIDE);
    int dy = Math.floorMod(raster.y(), SIDE);
    for (int y = 0; y < p.height(); y++) {
      for (int x = 0; x < p.width(); x++) {
        int i = y * p.width() + x;
        int k = (y + dy) / SIDE * w + (x + dx) / SIDE;
        out.r()[k] += p.r()[i];
        out.g()[k] += p.g()[i];
        out.b()[k] += p.b()[i];
        count[k]++;
      }
    }
    for (int k = 0; k < count.length; k++) {
      out.r()[k] /= count[k];
      out.g()[k] /= count[k];
      out.b()[k] /= count[k];
    }
    return new Coarse(raster, left, top, out);
  }

  /** Gives the pixels of the piece other means, between their centres bilinearly. */
  void change(Picture to, Picture p) {
    for (int c = 0; c < 3; c++) {
      float[] by = to.channel(c).clone();
      subtract(by, means.channel(c));
      add(new Plane(to.width(), to.height(), by), p.channel(c));
    }
  }

  private static void subtract(float[] from, float[] what) {
    for (int k = 0; k < from.length; k++) {
      from[k] -= what[k];
    }
  }

  private void add(Plane coarse, float[] out) {
    int dx = Math.floorMod(raster.x(), SIDE);
    int dy = Math.floorMod(raster.y(), SIDE);
    for (int y = 0; y < raster.height(); y++) {
      float v = (y + dy + 0.5f) / SIDE - 0.5f;
      for (int x = 0; x < raster.width(); x++) {
        out[y * raster.width() + x] += coarse.sample((x + dx + 0.5f) / SIDE - 0.5f, v);
      }
    }
  }
}
