package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import java.util.Arrays;

/**
 * Light on the surfaces that the middles of the pixels show, without their texture, every light
 * group apart. Whatever else of the same surface is seen nearby is lit from here. Planes row by
 * row.
 */
final class LightField {
  /** Cosine between two normals above which they may belong to one surface. */
  private static final float SAME = 0.8f;

  /** The same for a rounded edge, which is lit like the faces beside it. */
  private static final float BESIDE = 0.3f;

  /** Pixels around in which a surface is looked for where the four nearest do not show it. */
  private static final int AROUND = 2;

  final int width;
  final int height;

  /** Light on each pixel's surface by group and channel, as if it were white. */
  final float[][][] scattered;

  /** Light that a perfect mirror there would show, likewise. */
  final float[][][] mirrored;

  /** Where the surface is, metres, and its normal without and with fine relief. */
  final float[][] place;

  final float[][] normal;
  final float[][] relief;

  /** Metres from the camera; 0 where nothing is met. */
  final float[] depth;

  LightField(int width, int height, int groups) {
    int n = width * height;
    this.width = width;
    this.height = height;
    scattered = new float[groups][3][n];
    mirrored = new float[groups][3][n];
    place = new float[3][n];
    normal = new float[3][n];
    relief = new float[3][n];
    depth = new float[n];
  }

  /** Adds so many times the light of another group to that of one. */
  void add(int group, int other, float times) {
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < depth.length; i++) {
        scattered[group][c][i] += times * scattered[other][c][i];
        mirrored[group][c][i] += times * mirrored[other][c][i];
      }
    }
  }

  /**
   * Adds up the light where a surface is seen at a place of the picture.
   *
   * @param x pixels from the field's left edge; the middle of the first pixel is 0.5
   * @param into scattered light, then mirrored light, three values for each group
   * @return false if no pixel around shows the same surface; {@code into} is then all 0
   */
  boolean read(double x, double y, Bvh.Hit hit, float[] into) {
    Arrays.fill(into, 0);
    double u = x - 0.5;
    double v = y - 0.5;
    int x0 = (int) Math.floor(u);
    int y0 = (int) Math.floor(v);
    float fx = (float) (u - x0);
    float fy = (float) (v - y0);
    float sum = 0;
    for (int k = 0; k < 4; k++) {
      int i = k & 1;
      int j = k >> 1;
      float w = (i == 0 ? 1 - fx : fx) * (j == 0 ? 1 - fy : fy) + 1e-3f;
      sum += add(x0 + i, y0 + j, w, SAME, hit, into);
    }
    for (int j = -AROUND; sum == 0 && j <= AROUND + 1; j++) {
      for (int i = -AROUND; i <= AROUND + 1; i++) {
        float d2 = (i - fx) * (i - fx) + (j - fy) * (j - fy);
        sum += add(x0 + i, y0 + j, 1 / (0.2f + d2 * d2), BESIDE, hit, into);
      }
    }
    for (int k = 0; k < into.length && sum > 0; k++) {
      into[k] /= sum;
    }
    return sum > 0;
  }

  private float add(int x, int y, float weight, float alike, Bvh.Hit hit, float[] into) {
    if (x < 0 || y < 0 || x >= width || y >= height) {
      return 0;
    }
    int i = y * width + x;
    if (depth[i] == 0 || !same(i, alike, hit)) {
      return 0;
    }
    int values = into.length / 2;
    for (int k = 0; k < values; k++) {
      into[k] += weight * scattered[k / 3][k % 3][i];
      into[values + k] += weight * mirrored[k / 3][k % 3][i];
    }
    return weight;
  }

  private boolean same(int i, float alike, Bvh.Hit hit) {
    float cos = normal[0][i] * hit.nx + normal[1][i] * hit.ny + normal[2][i] * hit.nz;
    float off =
        (place[0][i] - hit.x) * hit.nx
            + (place[1][i] - hit.y) * hit.ny
            + (place[2][i] - hit.z) * hit.nz;
    return cos > alike && Math.abs(off) < 0.004f + 0.002f * depth[i];
  }
}
