package illuminar.server.balance;

/**
 * A pinned place.
 *
 * @param x pixels at full size; {@code y} and {@code radius} likewise
 * @param surface name of the surface that it belongs to; empty for none
 */
public record Probe(String id, double x, double y, double radius, String surface) {
  private static final int LONGEST_NAME = 60;

  public Probe {
    if (id == null || id.isEmpty() || id.length() > LONGEST_NAME) {
      throw new IllegalArgumentException("a probe needs an id");
    }
    surface = surface == null ? "" : surface;
    if (surface.length() > LONGEST_NAME) {
      throw new IllegalArgumentException(
          "a surface's name is at most " + LONGEST_NAME + " characters long");
    }
    if (!(radius > 0 && radius < 10_000)) {
      throw new IllegalArgumentException("a probe's radius must lie above 0");
    }
  }

  /** Whether it lies in a picture of so many pixels at full size. */
  boolean within(int width, int height) {
    return x >= -1 && y >= -1 && x <= width && y <= height;
  }
}
