package illuminar.core.filter;

/** The soft step: 3t² − 2t³, kept within 0 and 1. */
public final class Ease {
  private Ease() {}

  /** The step at a place between its two ends. */
  public static float between(double t) {
    return between((float) t);
  }

  /** The same without a branch, so that the compiler works out eight at once in a plain loop. */
  public static float between(float t) {
    float x = Math.max(0, Math.min(1, t));
    return x * x * (3 - 2 * x);
  }

  /**
   * 1 up to a part of a reach, 0 from the reach on.
   *
   * @param distance in units of the reach
   * @param softness share of the reach over which it fades
   */
  public static float within(double distance, double softness) {
    return between((1 - distance) / Math.max(1e-3, softness));
  }
}
