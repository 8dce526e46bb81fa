package illuminar.core.pass.work;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.function.Function;

/**
 * The picture below, a way from a rectangle; between pixels by Catmull and Rom's cubic, pixels
 * beyond the view repeat its edge.
 */
record FarSource(Picture picture, int left, int top, float[] across, float[] down) {

  /**
   * @param at the rectangle
   * @param x way to the source, pixels of the rectangle; {@code y} likewise
   * @param all the whole view at its scale
   */
  static FarSource of(Function<Raster, Picture> below, Raster at, double x, double y, Raster all) {
    int wholeX = (int) Math.floor(x + 1e-6);
    int wholeY = (int) Math.floor(y + 1e-6);
    int x0 = held(at.x() + wholeX - 1, all.width());
    int y0 = held(at.y() + wholeY - 1, all.height());
    int x1 = held(at.x() + at.width() + wholeX + 1, all.width());
    int y1 = held(at.y() + at.height() + wholeY + 1, all.height());
    Raster raster = all.part(x0, y0, x1 - x0 + 1, y1 - y0 + 1);
    return new FarSource(
        below.apply(raster),
        at.x() + wholeX - x0,
        at.y() + wholeY - y0,
        weights((float) Math.max(0, x - wholeX)),
        weights((float) Math.max(0, y - wholeY)));
  }

  /** The same for a rectangle whose left and upper edge are counted as this. */
  FarSource from(int x, int y) {
    return new FarSource(picture, left - x, top - y, across, down);
  }

  private static int held(int v, int size) {
    return Math.max(0, Math.min(size - 1, v));
  }

  private static float[] weights(float t) {
    if (t < 1e-4f) {
      return new float[] {0, 1, 0, 0};
    }
    return new float[] {
      ((-0.5f * t + 1) * t - 0.5f) * t,
      (1.5f * t - 2.5f) * t * t + 1,
      ((-1.5f * t + 2) * t + 0.5f) * t,
      (0.5f * t - 0.5f) * t * t
    };
  }

  void read(int x, int y, float[] out) {
    int w = picture.width();
    float r = 0;
    float g = 0;
    float b = 0;
    for (int v = 0; v < 4; v++) {
      int row = held(top + y + v - 1, picture.height()) * w;
      for (int u = 0; u < 4 && down[v] != 0; u++) {
        int i = row + held(left + x + u - 1, w);
        float share = down[v] * across[u];
        r += picture.r()[i] * share;
        g += picture.g()[i] * share;
        b += picture.b()[i] * share;
      }
    }
    out[0] = r;
    out[1] = g;
    out[2] = b;
  }
}
