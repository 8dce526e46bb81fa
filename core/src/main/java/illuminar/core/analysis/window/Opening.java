package illuminar.core.analysis.window;

/**
 * A glazed opening within its frame: all that is seen through it, and what stands before it, in
 * pixels of the analysis grid (pixel i spans i to i + 1).
 *
 * @param left x at y = 0, and its rise per row; {@code right} likewise
 * @param top y at x = 0, and its rise per column; {@code bottom} likewise
 * @param wall light of what the opening stands in, 1 where the anchor burns
 * @param view light of what is seen most brightly through it
 */
public record Opening(
    double[] left, double[] right, double[] top, double[] bottom, float wall, float view) {

  /** How far inside its nearest side a place lies, in pixels of the grid; negative outside. */
  public double depth(double x, double y) {
    return Math.min(
        Math.min(x - at(left, y), at(right, y) - x), Math.min(y - at(top, x), at(bottom, x) - y));
  }

  private static double at(double[] line, double v) {
    return line[0] + line[1] * v;
  }
}
