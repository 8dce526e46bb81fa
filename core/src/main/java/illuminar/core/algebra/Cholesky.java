package illuminar.core.algebra;

/** Solves small symmetric positive systems. Source: textbook Cholesky factorisation. */
public final class Cholesky {
  private Cholesky() {}

  /**
   * x with m·x = b; a trace of the diagonal is added where m is singular. {@code m} is overwritten.
   */
  public static double[] solve(double[][] m, double[] b) {
    int n = b.length;
    double trace = 0;
    for (int i = 0; i < n; i++) {
      trace += m[i][i];
    }
    double floor = trace / n * 1e-12 + 1e-30;
    for (int i = 0; i < n; i++) {
      for (int j = 0; j <= i; j++) {
        double sum = m[i][j];
        for (int k = 0; k < j; k++) {
          sum -= m[i][k] * m[j][k];
        }
        m[i][j] = i == j ? Math.sqrt(Math.max(floor, sum)) : sum / m[j][j];
      }
    }
    double[] x = b.clone();
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < i; k++) {
        x[i] -= m[i][k] * x[k];
      }
      x[i] /= m[i][i];
    }
    for (int i = n - 1; i >= 0; i--) {
      for (int k = i + 1; k < n; k++) {
        x[i] -= m[k][i] * x[k];
      }
      x[i] /= m[i][i];
    }
    return x;
  }
}
