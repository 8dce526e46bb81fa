package illuminar.core.picture;

/**
 * Which pixels are asked for: a rectangle of a view at some scale. Pixel (i, j) of the raster has
 * its centre at ((x + i + 0.5) / scale − 0.5, …) in pixels of the anchor at full size.
 *
 * @param scale raster pixels per full-size pixel, in (0, 4]
 * @param x left edge, in pixels of the whole view at this scale
 * @param y top edge
 */
public record Raster(double scale, int x, int y, int width, int height) {

  public Raster {
    if (!(scale > 0 && scale <= 4) || width < 1 || height < 1) {
      throw new IllegalArgumentException("no such raster: " + scale + ", " + width + "×" + height);
    }
  }

  /** The whole of a view at a scale. */
  public static Raster whole(int fullWidth, int fullHeight, double scale) {
    return new Raster(scale, 0, 0, span(fullWidth, scale), span(fullHeight, scale));
  }

  /** The whole of a view with its long edge at most {@code longEdge} pixels, never enlarged. */
  public static Raster fitted(int fullWidth, int fullHeight, int longEdge) {
    return whole(
        fullWidth, fullHeight, Math.min(1.0, longEdge / (double) Math.max(fullWidth, fullHeight)));
  }

  /** Pixels that a length takes at a scale, at least one. */
  public static int span(int full, double scale) {
    return Math.max(1, (int) Math.round(full * scale));
  }

  /** This raster grown by {@code margin} on every side, kept inside the view. */
  public Raster grown(int margin, int fullWidth, int fullHeight) {
    int x0 = Math.max(0, x - margin);
    int y0 = Math.max(0, y - margin);
    int x1 = Math.min(span(fullWidth, scale), x + width + margin);
    int y1 = Math.min(span(fullHeight, scale), y + height + margin);
    return new Raster(scale, x0, y0, x1 - x0, y1 - y0);
  }

  /** The same rectangle in pixels {@code factor} times finer, exactly so many to each of these. */
  public Raster finer(int factor) {
    return new Raster(scale * factor, x * factor, y * factor, width * factor, height * factor);
  }

  /** Whether another lies within this one, at the same scale. */
  public boolean holds(Raster other) {
    return scale == other.scale
        && other.x >= x
        && other.y >= y
        && other.x + other.width <= x + width
        && other.y + other.height <= y + height;
  }

  /** What of this raster lies within another at the same scale. */
  public Raster clipped(Raster other) {
    int x0 = Math.max(x, other.x);
    int y0 = Math.max(y, other.y);
    return new Raster(
        scale,
        x0,
        y0,
        Math.min(x + width, other.x + other.width) - x0,
        Math.min(y + height, other.y + other.height) - y0);
  }

  /** A part of this raster, given in its own pixels. */
  public Raster part(int left, int top, int w, int h) {
    return new Raster(scale, x + left, y + top, w, h);
  }

  /** Full-size position of column {@code i}'s centre. */
  public double fullX(double i) {
    return (x + i + 0.5) / scale - 0.5;
  }

  /** Full-size position of row {@code j}'s centre. */
  public double fullY(double j) {
    return (y + j + 0.5) / scale - 0.5;
  }

  public int pixels() {
    return width * height;
  }
}
