package illuminar.core.picture;

/**
 * One channel of floats, row by row. {@code data} is shared, not copied: whoever receives a plane
 * may read it, and writes only where the method says so.
 */
public record Plane(int width, int height, float[] data) {

  public Plane {
    if (width < 1 || height < 1 || data.length != width * height) {
      throw new IllegalArgumentException("plane of " + width + "×" + height + " does not fit data");
    }
  }

  public static Plane of(int width, int height) {
    return new Plane(width, height, new float[width * height]);
  }

  public static Plane filled(int width, int height, float value) {
    Plane plane = of(width, height);
    java.util.Arrays.fill(plane.data, value);
    return plane;
  }

  public float at(int x, int y) {
    return data[y * width + x];
  }

  /** The value nearest to (x, y) inside the plane. */
  public float clamped(int x, int y) {
    return data[Math.max(0, Math.min(height - 1, y)) * width + Math.max(0, Math.min(width - 1, x))];
  }

  /** Bilinear sample, pixel centres at whole numbers, edges continued. */
  public float sample(float x, float y) {
    float cx = Math.max(0, Math.min(width - 1, x));
    float cy = Math.max(0, Math.min(height - 1, y));
    int x0 = (int) cx;
    int y0 = (int) cy;
    int x1 = Math.min(width - 1, x0 + 1);
    int y1 = Math.min(height - 1, y0 + 1);
    float fx = cx - x0;
    float fy = cy - y0;
    float top = data[y0 * width + x0] + (data[y0 * width + x1] - data[y0 * width + x0]) * fx;
    float low = data[y1 * width + x0] + (data[y1 * width + x1] - data[y1 * width + x0]) * fx;
    return top + (low - top) * fy;
  }

  public Plane copy() {
    return new Plane(width, height, data.clone());
  }

  /** Whether every value is 0. */
  public boolean nowhere() {
    for (float v : data) {
      if (v != 0) {
        return false;
      }
    }
    return true;
  }
}
