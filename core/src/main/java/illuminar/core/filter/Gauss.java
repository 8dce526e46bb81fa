package illuminar.core.filter;

import illuminar.core.picture.Bands;
import illuminar.core.picture.Plane;
import java.util.Arrays;

/** Gaussian smoothing by its sampled kernel, cut at three sigma and normalised. */
public final class Gauss {
  private Gauss() {}

  /** How far the kernel reaches, in pixels. */
  public static int reach(double sigma) {
    return (int) Math.ceil(3 * sigma);
  }

  /** The kernel from its centre outwards, whole kernel summing to 1. */
  public static float[] kernel(double sigma) {
    int reach = reach(sigma);
    float[] k = new float[reach + 1];
    double sum = 0;
    for (int i = 0; i <= reach; i++) {
      k[i] = (float) Math.exp(-0.5 * i * i / (sigma * sigma));
      sum += i == 0 ? k[i] : 2 * k[i];
    }
    for (int i = 0; i <= reach; i++) {
      k[i] /= (float) sum;
    }
    return k;
  }

  /** Smooths with edges continued; passes over what is 0. {@code in} is not modified. */
  public static Plane smooth(Plane in, double sigma) {
    if (sigma < 0.05) {
      return in.copy();
    }
    float[] k = kernel(sigma);
    int w = in.width();
    int h = in.height();
    float[] rows = new float[w * h];
    boolean[] empty = new boolean[h];
    float[] line = new float[w + 2 * k.length];
    int least = w;
    int most = 0;
    for (int y = 0; y < h; y++) {
      int first = first(in.data(), y * w, w);
      if (first == w) {
        empty[y] = true;
        continue;
      }
      int from = Math.max(0, first - k.length + 1);
      int to = Math.min(w, last(in.data(), y * w, w) + k.length);
      System.arraycopy(in.data(), y * w, line, k.length, w);
      Arrays.fill(line, 0, k.length, in.data()[y * w]);
      Arrays.fill(line, k.length + w, line.length, in.data()[y * w + w - 1]);
      for (int d = -k.length + 1; d < k.length; d++) {
        add(line, k.length + d + from, k[Math.abs(d)], rows, y * w + from, to - from);
      }
      least = Math.min(least, from);
      most = Math.max(most, to);
    }
    Plane out = Plane.of(w, h);
    int left = least;
    int wide = most - least;
    Bands.of(
        h,
        64,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            for (int d = -k.length + 1; d < k.length; d++) {
              int of = Math.max(0, Math.min(h - 1, y + d));
              if (!empty[of]) {
                add(rows, of * w + left, k[Math.abs(d)], out.data(), y * w + left, wide);
              }
            }
          }
        });
    return out;
  }

  /** The same of several planes, side by side on all cores. */
  public static Plane[] smooth(double sigma, Plane... in) {
    return Arrays.stream(in).parallel().map(p -> smooth(p, sigma)).toArray(Plane[]::new);
  }

  /** The first value of a row that is not 0; {@code n} if there is none. */
  private static int first(float[] in, int at, int n) {
    int i = 0;
    while (i < n && in[at + i] == 0) {
      i++;
    }
    return i;
  }

  private static int last(float[] in, int at, int n) {
    int i = n - 1;
    while (i >= 0 && in[at + i] == 0) {
      i--;
    }
    return i;
  }

  private static void add(float[] in, int from, float share, float[] out, int at, int n) {
    for (int x = 0; x < n; x++) {
      out[at + x] += share * in[from + x];
    }
  }
}
