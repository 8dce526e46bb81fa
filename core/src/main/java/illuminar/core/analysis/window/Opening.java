package illuminar.core.analysis.window;

/**
 * A window within its frame: all that is seen through it, and what stands before it, in pixels of
 * the analysis grid.
 *
 * @param wall light of what the window stands in, 1 where the anchor burns
 * @param view light of what is seen most brightly through it
 */
public record Opening(Quad sides, float wall, float view) {

  /** How far inside its nearest side a place lies, in pixels; negative outside. */
  public double depth(double x, double y) {
    return sides.depth(x, y);
  }
}
