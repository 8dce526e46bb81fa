package illuminar.core.analysis.window;

/** Straight lines through points of which some lie elsewhere. */
final class LineFit {
  /** Rows that are tried two by two. */
  private static final int TRIED = 60;

  /** Pixels off a line within which a row ends on it. */
  private static final double ON = 0.7;

  /** Pixels off the line from which on a row tells nothing. */
  private static final double OFF = 1.5;

  private LineFit() {}

  /** The line through two of the rows on which most others end (Fischler and Bolles 1981). */
  static double[] commonest(double[] x, double[] y, int n) {
    double[] best = {Double.NaN, 0};
    int most = 0;
    int step = Math.max(1, n / TRIED);
    for (int i = 0; i < n; i += step) {
      for (int j = i + Math.max(1, n / 4); j < n; j += step) {
        double slope = (y[j] - y[i]) / (x[j] - x[i]);
        double at = y[i] - slope * x[i];
        int on = 0;
        for (int k = 0; k < n; k += step) {
          on += Math.abs(y[k] - at - slope * x[k]) < ON ? 1 : 0;
        }
        if (on > most) {
          most = on;
          best = new double[] {at, slope};
        }
      }
    }
    return best;
  }

  static double[] weighted(double[] x, double[] y, int n, double[] line) {
    double s = 1e-9;
    double sx = 0;
    double sy = 0;
    double sxx = 0;
    double sxy = 0;
    for (int i = 0; i < n; i++) {
      double r = (y[i] - line[0] - line[1] * x[i]) / OFF;
      double k = Math.abs(r) < 1 ? (1 - r * r) * (1 - r * r) : 0;
      s += k;
      sx += k * x[i];
      sy += k * y[i];
      sxx += k * x[i] * x[i];
      sxy += k * x[i] * y[i];
    }
    double spread = s * sxx - sx * sx;
    if (s < 4 || spread < 1e-6) {
      return line;
    }
    double slope = (s * sxy - sx * sy) / spread;
    return new double[] {(sy - slope * sx) / s, slope};
  }
}
