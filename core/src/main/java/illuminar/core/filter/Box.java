package illuminar.core.filter;

import illuminar.core.picture.Plane;

/** Mean over a square window, in time independent of its size. */
public final class Box {
  private Box() {}

  /**
   * Mean of the part of the (2·radius + 1)² window inside the plane. {@code in} is not modified.
   */
  public static Plane mean(Plane in, int radius) {
    int w = in.width();
    int h = in.height();
    float[] rows = new float[w * h];
    for (int y = 0; y < h; y++) {
      double sum = 0;
      int at = y * w;
      for (int x = 0; x < Math.min(w, radius); x++) {
        sum += in.data()[at + x];
      }
      for (int x = 0; x < w; x++) {
        if (x + radius < w) {
          sum += in.data()[at + x + radius];
        }
        if (x - radius - 1 >= 0) {
          sum -= in.data()[at + x - radius - 1];
        }
        int n = Math.min(w - 1, x + radius) - Math.max(0, x - radius) + 1;
        rows[at + x] = (float) (sum / n);
      }
    }
    Plane out = Plane.of(w, h);
    double[] sum = new double[w];
    for (int y = 0; y < Math.min(h, radius); y++) {
      for (int x = 0; x < w; x++) {
        sum[x] += rows[y * w + x];
      }
    }
    for (int y = 0; y < h; y++) {
      int add = y + radius;
      int drop = y - radius - 1;
      int n = Math.min(h - 1, y + radius) - Math.max(0, y - radius) + 1;
      for (int x = 0; x < w; x++) {
        if (add < h) {
          sum[x] += rows[add * w + x];
        }
        if (drop >= 0) {
          sum[x] -= rows[drop * w + x];
        }
        out.data()[y * w + x] = (float) (sum[x] / n);
      }
    }
    return out;
  }
}
