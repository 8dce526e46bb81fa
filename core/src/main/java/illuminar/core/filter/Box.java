package illuminar.core.filter;

import illuminar.core.picture.Plane;
import java.util.Arrays;

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
    double[] before = new double[w + 1];
    for (int y = 0; y < h; y++) {
      row(in.data(), y * w, w, radius, unit, before, rows);
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

  /** The same of several planes, side by side on all cores. */
  public static Plane[] means(int radius, Plane... in) {
    return Arrays.stream(in).parallel().map(p -> mean(p, radius)).toArray(Plane[]::new);
  }

  private static float[] units(int most) {
    float[] unit = new float[most + 1];
    for (int n = 1; n <= most; n++) {
      unit[n] = 1f / n;
    }
    return unit;
  }

  /** {@code before} holds the sum of all values left of a column; modified. */
  private static void row(
      float[] in, int at, int w, int radius, float[] unit, double[] before, float[] out) {
    for (int x = 0; x < w; x++) {
      before[x + 1] = before[x] + in[at + x];
    }
    int inner = Math.max(radius, w - radius - 1);
    double whole = unit[Math.min(w, 2 * radius + 1)];
    for (int x = radius; x < inner; x++) {
      out[at + x] = (float) ((before[x + radius + 1] - before[x - radius]) * whole);
    }
    for (int x = 0; x < w; x = x + 1 == Math.min(w, radius) ? inner : x + 1) {
      int first = Math.max(0, x - radius);
      int end = Math.min(w, x + radius + 1);
      out[at + x] = (float) ((before[end] - before[first]) * unit[end - first]);
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
