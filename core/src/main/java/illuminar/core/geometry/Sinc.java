package illuminar.core.geometry;

/**
 * Values between the pixels of a channel: a windowed sinc of eight taps (Duchon 1979), held near
 * what lies round each place so that nothing rings along windows and lamps.
 */
final class Sinc {
  /** Pixels each way that a value is made of. */
  static final int TAPS = 8;

  /** How many of them lie before the pixel next to the place. */
  static final int BEFORE = TAPS / 2 - 1;

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

  private static final float[] KERNEL = kernel();

  private Sinc() {}

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

  /** Index of the weights for a place so far beyond a pixel, 0 to 1. */
  static int phase(double beyond) {
    return TAPS * (int) (beyond * PHASES + 0.5);
  }

  /**
   * A value of a channel {@code w} pixels wide and {@code h} high; beyond its edge the edge is
   * repeated.
   *
   * @param x column of the first tap; {@code y} its row
   * @param px phase across; {@code py} down
   */
  static float at(float[] in, int w, int h, int x, int y, int px, int py) {
    return x >= 0 && y >= 0 && x + TAPS <= w && y + TAPS <= h
        ? inner(in, w, y * w + x, px, py)
        : atEdge(in, w, h, x, y, px, py);
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
      int row = Laid.within(y + k, h) * w;
      float part = 0;
      for (int n = 0; n < TAPS; n++) {
        part += in[row + Laid.within(x + n, w)] * KERNEL[px + n];
      }
      sum += part * KERNEL[py + k];
    }
    int x0 = Laid.within(x + BEFORE, w);
    int x1 = Laid.within(x + BEFORE + 1, w);
    int r0 = Laid.within(y + BEFORE, h) * w;
    int r1 = Laid.within(y + BEFORE + 1, h) * w;
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
