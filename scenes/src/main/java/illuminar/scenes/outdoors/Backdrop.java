package illuminar.scenes.outdoors;

import java.util.stream.IntStream;

/**
 * An outdoor world seen from one place, drawn once onto a plane and looked up afterwards: what lies
 * metres away through a window hardly shifts within one picture. Rays that miss the plane see the
 * broad light.
 */
public final class Backdrop implements Outdoors {
  private final Outdoors world;
  private final float left;
  private final float right;
  private final float low;
  private final float high;
  private final int width;
  private final int height;
  private final float[] colours;

  /**
   * @param left smallest dx / −dz that is drawn, likewise the others
   * @param width samples across
   */
  public Backdrop(
      Outdoors world,
      float x,
      float y,
      float z,
      float left,
      float right,
      float low,
      float high,
      int width) {
    this.world = world;
    this.left = left;
    this.right = right;
    this.low = low;
    this.high = high;
    this.width = width;
    height = Math.round(width * (high - low) / (right - left));
    colours = new float[width * height * 3];
    IntStream.range(0, height)
        .parallel()
        .forEach(
            j -> {
              for (int i = 0; i < width; i++) {
                float dx = left + (right - left) * (i + 0.5f) / width;
                float dy = low + (high - low) * (j + 0.5f) / height;
                float n = 1 / (float) Math.sqrt(dx * dx + dy * dy + 1);
                float[] c = world.seen(x, y, z, dx * n, dy * n, -n);
                System.arraycopy(c, 0, colours, (j * width + i) * 3, 3);
              }
            });
  }

  @Override
  public float[] seen(float x, float y, float z, float dx, float dy, float dz) {
    float u = dz < -1e-4f ? (dx / -dz - left) / (right - left) * width - 0.5f : -1;
    float v = dz < -1e-4f ? (dy / -dz - low) / (high - low) * height - 0.5f : -1;
    if (u < 0 || v < 0 || u >= width - 1 || v >= height - 1) {
      return world.broad(dx, dy, dz);
    }
    int i = (int) u;
    int j = (int) v;
    float fx = u - i;
    float fy = v - j;
    float[] out = new float[3];
    for (int c = 0; c < 3; c++) {
      int at = (j * width + i) * 3 + c;
      float top = colours[at] + (colours[at + 3] - colours[at]) * fx;
      int under = at + width * 3;
      float bottom = colours[under] + (colours[under + 3] - colours[under]) * fx;
      out[c] = top + (bottom - top) * fy;
    }
    return out;
  }

  @Override
  public float[] broad(float dx, float dy, float dz) {
    return world.broad(dx, dy, dz);
  }
}
