package illuminar.core.pass;

import illuminar.core.filter.Ease;

/**
 * A live limit by the tone underneath: nothing below {@code from}, everything between {@code full}
 * and {@code fullTo}, nothing above {@code to}. Stops relative to display white, so mostly
 * negative.
 */
public record Gate(double from, double full, double fullTo, double to) {
  /** Lets every tone through. */
  public static final Gate ALL = new Gate(-100, -100, 100, 100);

  public Gate {
    if (!(from <= full && full <= fullTo && fullTo <= to)) {
      throw new IllegalArgumentException("a gate's four stops must rise");
    }
  }

  public boolean all() {
    return fromBlack() && toWhite();
  }

  /** Whether it lets the darkest tones through. */
  public boolean fromBlack() {
    return from <= -50;
  }

  /** Whether it lets the lightest tones through. */
  public boolean toWhite() {
    return to >= 50;
  }

  /** How much of a pass a tone lets through, 0 to 1. */
  public float open(float stops) {
    return open(stops, (float) from, over(full - from), (float) to, over(to - fullTo));
  }

  /**
   * Multiplies amounts by how far the gate is open.
   *
   * @param stops tone of column {@code i} at {@code at + i}; not modified
   * @param amounts columns {@code first} up to {@code end}; modified
   */
  public void limit(float[] stops, int at, int first, int end, float[] amounts) {
    float low = (float) from;
    float rise = over(full - from);
    float high = (float) to;
    float fall = over(to - fullTo);
    for (int i = first; i < end; i++) {
      amounts[i] *= open(stops[at + i], low, rise, high, fall);
    }
  }

  private static float open(float stops, float low, float rise, float high, float fall) {
    return Ease.between((stops - low) * rise) * Ease.between((high - stops) * fall);
  }

  /** An upright side is a very steep one. */
  private static float over(double width) {
    return (float) (1 / Math.max(width, 1e-6));
  }
}
