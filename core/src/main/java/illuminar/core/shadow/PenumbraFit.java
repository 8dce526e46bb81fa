package illuminar.core.shadow;

/**
 * Fits the light of two sides and a disc's penumbra between them to what is read across an edge, in
 * linear light, by least squares over places and widths.
 */
final class PenumbraFit {
  /** Coarse pixels across which an edge is read, on either side. */
  private static final int REACH = 12;

  /** Coarse pixels from its middle within which it counts most. */
  private static final float MOST = 7;

  /** Halves of penumbras that are tried, coarse pixels. */
  private static final float[] HALVES = {
    0.12f, 0.2f, 0.3f, 0.4f, 0.52f, 0.66f, 0.84f, 1.05f, 1.3f, 1.65f, 2.1f, 2.7f, 3.4f, 4.3f, 5.4f
  };

  /** Coarse pixels beside the penumbra over which the light of either side is averaged. */
  private static final int BESIDE = 3;

  private final int factor;
  private final int off;
  private final int shifts;
  private final float[] weight;

  /** Each curve that is tried, times the weights; sums of it and of its square. */
  private final float[][] curves;

  private final double[] sums;
  private final double[] squares;

  /**
   * @param factor pixels to a coarse pixel
   * @param off coarse pixels by which the middle may be off, on either side
   */
  PenumbraFit(int factor, int off) {
    this.factor = factor;
    this.off = off;
    shifts = 4 * off * factor + 1;
    weight = weights(factor);
    curves = new float[shifts * HALVES.length][weight.length];
    sums = new double[curves.length];
    squares = new double[curves.length];
    for (int k = 0; k < curves.length; k++) {
      for (int s = 0; s < weight.length; s++) {
        float seen = Penumbra.seen((s - reach() - shift(k)) / half(k));
        curves[k][s] = seen * weight[s];
        sums[k] += seen * weight[s];
        squares[k] += seen * seen * weight[s];
      }
    }
  }

  private static float[] weights(int factor) {
    float[] weight = new float[2 * REACH * factor + 1];
    float sum = 0;
    for (int s = 0; s < weight.length; s++) {
      float t = (s - REACH * factor) / (MOST * factor);
      weight[s] = 1 / (1 + t * t * t * t);
      sum += weight[s];
    }
    for (int s = 0; s < weight.length; s++) {
      weight[s] /= sum;
    }
    return weight;
  }

  /** Pixels on either side of the middle that are read. */
  int reach() {
    return REACH * factor;
  }

  private float shift(int k) {
    return (k % shifts) * 0.5f - off * factor;
  }

  private float half(int k) {
    return HALVES[k / shifts] * factor;
  }

  /**
   * What was fitted.
   *
   * @param shift pixels from the middle to the edge, towards the light
   * @param half half the width of the penumbra, pixels
   * @param dark light of the dark side; {@code lit} of the other; red, green, blue
   * @param explained share of what varies
   */
  record Found(float shift, float half, float[] dark, float[] lit, double explained) {}

  /**
   * @param light red, green, blue; from the dark side to the lit one
   */
  Found of(float[][] light) {
    double[] told = new double[curves.length];
    double varies = 0;
    for (float[] channel : light) {
      double mean = 0;
      double square = 0;
      for (int s = 0; s < weight.length; s++) {
        mean += weight[s] * channel[s];
        square += weight[s] * channel[s] * channel[s];
      }
      varies += square - mean * mean;
      explain(channel, mean, told);
    }
    int best = 0;
    for (int k = 1; k < told.length; k++) {
      best = told[k] > told[best] ? k : best;
    }
    float shift = shift(best);
    if (best % shifts > 0 && best % shifts < shifts - 1) {
      shift += 0.5f * top(told, best, 1);
    }
    float half = half(best);
    if (best >= shifts && best + shifts < told.length) {
      float by = top(told, best, shifts);
      half *= (float) Math.pow(half(best + (by > 0 ? shifts : -shifts)) / half, Math.abs(by));
    }
    float near = Fade.REACH * half;
    float far = near + BESIDE * factor;
    float[] dark = new float[3];
    float[] lit = new float[3];
    for (int c = 0; c < 3; c++) {
      dark[c] = level(light[c], shift - far, shift - near);
      lit[c] = level(light[c], shift + near, shift + far);
    }
    return new Found(shift, half, dark, lit, varies > 0 ? told[best] / varies : 0);
  }

  /** Adds how much of what varies each curve explains. */
  private void explain(float[] channel, double mean, double[] told) {
    for (int k = 0; k < curves.length; k++) {
      double own = squares[k] - sums[k] * sums[k];
      float both = 0;
      for (int s = 0; s < channel.length; s++) {
        both += channel[s] * curves[k][s];
      }
      double rises = both - mean * sums[k];
      told[k] += own > 1e-6 && rises > 0 ? rises * rises / own : 0;
    }
  }

  /** Mean light between two places of what was read. */
  private float level(float[] light, float from, float to) {
    int first = Math.round(from) + reach();
    int last = Math.max(first, Math.round(to) + reach());
    float sum = 0;
    int n = 0;
    for (int s = Math.max(0, first); s <= Math.min(weight.length - 1, last); s++) {
      sum += light[s];
      n++;
    }
    return n == 0 ? 0 : sum / n;
  }

  /**
   * Where between its neighbours the greatest lies, steps: the top of the parabola through all
   * three.
   */
  private static float top(double[] told, int best, int step) {
    double before = told[best - step];
    double after = told[best + step];
    double bend = before - 2 * told[best] + after;
    return bend < 0 ? (float) ((before - after) / (2 * bend)) : 0;
  }
}
