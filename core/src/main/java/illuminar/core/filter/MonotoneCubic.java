package illuminar.core.filter;

import java.util.Arrays;

/**
 * A smooth curve through points that never overshoots them: piecewise cubic with slopes by the
 * harmonic mean of its neighbours (Fritsch and Butland 1984, after Fritsch and Carlson 1980).
 */
public final class MonotoneCubic {
  private final double[] x;
  private final double[] y;
  private final double[] slope;

  /**
   * @param x rising; at least two
   * @param y as many
   */
  public MonotoneCubic(double[] x, double[] y) {
    int n = x.length;
    if (n < 2 || y.length != n) {
      throw new IllegalArgumentException("a curve needs at least two points");
    }
    this.x = x.clone();
    this.y = y.clone();
    double[] step = new double[n - 1];
    for (int i = 0; i < n - 1; i++) {
      step[i] = (y[i + 1] - y[i]) / Math.max(1e-6, x[i + 1] - x[i]);
    }
    slope = new double[n];
    slope[0] = step[0];
    slope[n - 1] = step[n - 2];
    for (int i = 1; i < n - 1; i++) {
      slope[i] =
          step[i - 1] * step[i] <= 0 ? 0 : 2 * step[i - 1] * step[i] / (step[i - 1] + step[i]);
    }
  }

  /** The value at {@code v}; beyond the ends it stays at theirs. */
  public double at(double v) {
    int n = x.length;
    if (v <= x[0]) {
      return y[0];
    }
    if (v >= x[n - 1]) {
      return y[n - 1];
    }
    int k = Arrays.binarySearch(x, v);
    k = Math.min(n - 2, k >= 0 ? k : -k - 2);
    double h = x[k + 1] - x[k];
    double t = (v - x[k]) / h;
    double u = 1 - t;
    return y[k] * u * u * (1 + 2 * t)
        + y[k + 1] * t * t * (3 - 2 * t)
        + h * slope[k] * t * u * u
        - h * slope[k + 1] * t * t * u;
  }
}
