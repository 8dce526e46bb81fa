package illuminar.core.analysis.air;

import java.util.Optional;

/**
 * Transmission of haze over level ground: distance grows as 1 / (row − horizon), so by
 * Koschmieder's law the transmission at a row is exp(−thickness / (row − horizon)) (depth of a
 * plane from its vanishing line, Narasimhan and Nayar, "Interactive deweathering of an image using
 * physical models", 2003).
 *
 * <p>Fitted to how near the darkest channel comes to the airlight, row by row: 1 − (1 − dark) ·
 * transmission, {@code dark} being what the land's own darkest channel has without haze.
 *
 * @param horizon row at full size at which distance has no end
 * @param thickness rows at which the transmission is 1 / e below the horizon
 * @param off mean deviation of the rows from it, in shares of the airlight
 */
public record LevelGround(double horizon, double thickness, double off) {
  /** Rows that a fit needs. */
  private static final int LEAST_ROWS = 5;

  /**
   * Mean deviation of the rows, in shares of the airlight, up to which the land counts as level.
   */
  private static final double LEVEL = 0.05;

  /** Share of the airlight from which on a row shows nothing but sky. */
  private static final double SKY = 0.95;

  /** Rows above the first that the horizon is looked for. */
  private static final double ABOVE = 4;

  /** Rows from the horizon within which one row spans too many distances. */
  private static final double NEAR = 0.3;

  /** Transmission at a row of the full size; 0 at the horizon and above. */
  public float through(double row) {
    return row <= horizon ? 0 : (float) Math.exp(-thickness / (row - horizon));
  }

  /**
   * Finds the land in rows of a grid.
   *
   * @param haze share of the airlight in the darkest channel of each row's darkest places, from the
   *     sky down; not a number where a row does not show the land
   * @param first place of the first row at full size
   * @param step from row to row at full size
   */
  public static Optional<LevelGround> of(double[] haze, double first, double step) {
    double best = LEVEL;
    LevelGround found = null;
    if (haze.length < LEAST_ROWS) {
      return Optional.empty();
    }
    int land = 0;
    while (land < haze.length && !(haze[land] < SKY)) {
      land++;
    }
    // the horizon lies above the first row that shows land
    for (double up = land - NEAR; up >= -ABOVE; up -= 0.05) {
      double horizon = at(first, step, 0) + up * step;
      LevelGround fit = fit(haze, first, step, horizon);
      if (fit != null) {
        double off = deviation(haze, first, step, fit);
        if (off < best) {
          best = off;
          found = new LevelGround(fit.horizon, fit.thickness, off);
        }
      }
    }
    return Optional.ofNullable(found);
  }

  private static double at(double first, double step, int k) {
    return first + k * step;
  }

  /** Whether a row lies far enough below the horizon to be told apart from it. */
  private static boolean below(double row, double horizon, double step) {
    return row - horizon >= NEAR * step;
  }

  /** Straight line through ln(1 − haze) over 1 / (row − horizon), by weighted least squares. */
  private static LevelGround fit(double[] haze, double first, double step, double horizon) {
    double n = 0;
    double sx = 0;
    double sy = 0;
    double sxx = 0;
    double sxy = 0;
    int rows = 0;
    for (int k = 0; k < haze.length; k++) {
      double row = at(first, step, k);
      double clear = 1 - haze[k];
      // a row that does not show the land compares as false
      if (below(row, horizon, step) && clear > 0.02) {
        double x = 1 / (row - horizon);
        double y = Math.log(clear);
        double w = clear * clear;
        n += w;
        sx += w * x;
        sy += w * y;
        sxx += w * x * x;
        sxy += w * x * y;
        rows++;
      }
    }
    double spread = n * sxx - sx * sx;
    if (rows < LEAST_ROWS || spread <= 0) {
      return null;
    }
    double thickness = -(n * sxy - sx * sy) / spread;
    return thickness <= 0 ? null : new LevelGround(horizon, thickness, Double.NaN);
  }

  /** Mean deviation of the rows from the model, with the land's own darkness that fits best. */
  private static double deviation(double[] haze, double first, double step, LevelGround fit) {
    double top = 0;
    double base = 1e-9;
    for (int k = 0; k < haze.length; k++) {
      double row = at(first, step, k);
      if (below(row, fit.horizon, step) && haze[k] <= 1) {
        double t = fit.through(row);
        top += t * (1 - haze[k]);
        base += t * t;
      }
    }
    double own = top / base;
    if (own > 1) {
      return 1;
    }
    double sum = 0;
    double all = 1e-9;
    for (int k = 0; k < haze.length; k++) {
      double row = at(first, step, k);
      if (below(row, fit.horizon, step) && haze[k] <= 1) {
        sum += Math.abs(1 - haze[k] - own * fit.through(row));
        all++;
      }
    }
    return sum / all;
  }
}
