package illuminar.core.filter;

import illuminar.core.picture.Plane;

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

  /** Smooths with edges continued. {@code in} is not modified. */
  public static Plane smooth(Plane in, double sigma) {
    if (sigma < 0.05) {
      return in.copy();
    }
    float[] k = kernel(sigma);
    int w = in.width();
    int h = in.height();
    float[] rows = new float[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        float sum = k[0] * in.data()[y * w + x];
        for (int d = 1; d < k.length; d++) {
          sum +=
              k[d]
                  * (in.data()[y * w + Math.max(0, x - d)]
                      + in.data()[y * w + Math.min(w - 1, x + d)]);
        }
        rows[y * w + x] = sum;
      }
    }
    Plane out = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        float sum = k[0] * rows[y * w + x];
        for (int d = 1; d < k.length; d++) {
          sum += k[d] * (rows[Math.max(0, y - d) * w + x] + rows[Math.min(h - 1, y + d) * w + x]);
        }
        out.data()[y * w + x] = sum;
      }
    }
    return out;
  }
}
