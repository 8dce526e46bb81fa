package illuminar.core.pass;

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
    return from <= -50 && to >= 50;
  }

  /** How much of a pass a tone lets through, 0 to 1. */
  public float open(float stops) {
    if (stops <= from || stops >= to) {
      return 0;
    }
    if (stops < full) {
      return ease((float) ((stops - from) / (full - from)));
    }
    return stops > fullTo ? ease((float) ((to - stops) / (to - fullTo))) : 1;
  }

  private static float ease(float t) {
    return t * t * (3 - 2 * t);
  }
}
