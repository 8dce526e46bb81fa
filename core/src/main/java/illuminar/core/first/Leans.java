package illuminar.core.first;

import java.util.Locale;

/** What straight edges lean by, and when it is worth setting them right. */
final class Leans {
  /** Degrees by which edges lean at least, in the mean, for anybody to see it. */
  private static final double LEAST = 0.2;

  /** Share of the lean that may be left. */
  private static final double LEFT = 0.5;

  private Leans() {}

  /** Whether edges that lean lean much less afterwards; both degrees. */
  static boolean worth(double before, double after) {
    return before >= LEAST && after <= LEFT * before;
  }

  static double hundredths(double v) {
    return Math.rint(v * 100) / 100;
  }

  static String degrees(double v) {
    return String.format(Locale.ROOT, "%.1f°", v);
  }
}
