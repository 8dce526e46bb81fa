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
    float[] unit = units(Math.max(w, h));
    for (int y = 0; y < h; y++) {
      row(in.data(), y * w, w, radius, unit, rows);
    }
    Plane out = Plane.of(w, h);
    double[] sum = new double[w];
    for (int y = 0; y < Math.min(h, radius); y++) {
      add(rows, y * w, sum);
    }
    for (int y = 0; y < h; y++) {
      if (y + radius < h) {
        add(rows, (y + radius) * w, sum);
      }
      if (y - radius - 1 >= 0) {
        subtract(rows, (y - radius - 1) * w, sum);
      }
      double share = unit[Math.min(h - 1, y + radius) - Math.max(0, y - radius) + 1];
      for (int x = 0; x < w; x++) {
        out.data()[y * w + x] = (float) (sum[x] * share);
      }
    }
    return out;
  }

  private static float[] units(int most) {
    float[] unit = new float[most + 1];
    for (int n = 1; n <= most; n++) {
      unit[n] = 1f / n;
    }
    return unit;
  }

  private static void row(float[] in, int at, int w, int radius, float[] unit, float[] out) {
    double sum = 0;
    for (int x = 0; x < Math.min(w, radius); x++) {
      sum += in[at + x];
    }
    for (int x = 0; x < w; x++) {
      if (x + radius < w) {
        sum += in[at + x + radius];
      }
      if (x - radius - 1 >= 0) {
        sum -= in[at + x - radius - 1];
      }
      out[at + x] = (float) (sum * unit[Math.min(w - 1, x + radius) - Math.max(0, x - radius) + 1]);
    }
  }

  private static void add(float[] rows, int at, double[] sum) {
    for (int x = 0; x < sum.length; x++) {
      sum[x] += rows[at + x];
    }
  }

  private static void subtract(float[] rows, int at, double[] sum) {
    for (int x = 0; x < sum.length; x++) {
      sum[x] -= rows[at + x];
    }
  }
}
