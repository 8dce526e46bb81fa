package illuminar.core.render;

import illuminar.core.pass.work.UnsharpMask;

/**
 * How a finished picture is sharpened in the pixels in which it is delivered: what averaging to a
 * smaller size, or a screen or printer, takes from it. Common practice; amounts our own.
 */
public enum OutputSharpness {
  NONE(0),
  SCREEN(0.4),
  PRINT(0.9);

  /** Delivered pixels; a radius that does the same at any size. */
  private static final double SIGMA = 0.65;

  /** Halos may go so far beyond an edge's sides, share of its step. */
  private static final double LIMIT = 0.08;

  private final double amount;

  OutputSharpness(double amount) {
    this.amount = amount;
  }

  UnsharpMask mask() {
    return new UnsharpMask(SIGMA, amount, amount, LIMIT);
  }
}
