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
  private final float[] clear;

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
    clear = new float[width * height * 4];
    IntStream.range(0, width)
        .parallel()
        .forEach(
            i -> {
              float dx = left + (right - left) * (i + 0.5f) / width;
              float flat = (float) Math.sqrt(dx * dx + 1);
              Column column = world.column(x, y, z, dx / flat, -1 / flat);
              for (int j = 0; j < height; j++) {
                float dy = low + (high - low) * (j + 0.5f) / height;
                System.arraycopy(column.clear(dy / flat), 0, clear, (j * width + i) * 4, 4);
              }
            });
  }

  @Override
  public float[] air() {
    return world.air();
  }

  @Override
  public float[] clear(float x, float y, float z, float dx, float dy, float dz) {
    float u = dz < -1e-4f ? (dx / -dz - left) / (right - left) * width - 0.5f : -1;
    float v = dz < -1e-4f ? (dy / -dz - low) / (high - low) * height - 0.5f : -1;
    if (u < 0 || v < 0 || u >= width - 1 || v >= height - 1) {
      float[] c = world.broad(dx, dy, dz);
      return new float[] {c[0], c[1], c[2], 1};
    }
    int i = (int) u;
    int j = (int) v;
    float fx = u - i;
    float fy = v - j;
    float[] out = new float[4];
    for (int c = 0; c < 4; c++) {
      int at = (j * width + i) * 4 + c;
      float top = clear[at] + (clear[at + 4] - clear[at]) * fx;
      int under = at + width * 4;
      float bottom = clear[under] + (clear[under + 4] - clear[under]) * fx;
      out[c] = top + (bottom - top) * fy;
    }
    return out;
  }

  @Override
  public float[] broad(float dx, float dy, float dz) {
    return world.broad(dx, dy, dz);
  }
}
