package illuminar.core.geometry;

/**
 * The piece that is kept of a picture which was set upright; fractions of the anchor's long edge
 * from the corner at which the anchor's own lay.
 *
 * @param ratio width over height that it keeps; 0 for the anchor's own while nothing is cut by
 *     hand, and for none afterwards
 * @param left left edge
 * @param top upper edge
 * @param width 0 for as much as there is without empty corners
 * @param height likewise
 */
public record Crop(double ratio, double left, double top, double width, double height) {
  /** As much as there is. */
  public static final Crop NONE = new Crop(0, 0, 0, 0, 0);

  private static final double LEAST = 0.02;
  private static final double FARTHEST = 3;
  private static final double WIDEST = 5;

  public Crop {
    if (!(ratio == 0 || ratio >= 1 / WIDEST && ratio <= WIDEST)) {
      throw new IllegalArgumentException(
          "a crop is at most five times as wide as high, or high as wide");
    }
    boolean placed =
        width >= LEAST
            && height >= LEAST
            && width <= FARTHEST
            && height <= FARTHEST
            && Math.abs(left) <= FARTHEST
            && Math.abs(top) <= FARTHEST;
    if (!placed && !(width == 0 && height == 0 && left == 0 && top == 0)) {
      throw new IllegalArgumentException(
          "a crop keeps at least a fiftieth of the picture's long edge each way");
    }
  }

  /** Whether it was placed by hand. */
  public boolean placed() {
    return width > 0;
  }
}
