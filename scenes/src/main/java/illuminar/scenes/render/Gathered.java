package illuminar.scenes.render;

import java.util.List;

/** Sums of the looks at a picture's pixels. Planes row by row. */
final class Gathered {
  final int width;
  final int height;

  /** The picture under each light group, three planes each. */
  final float[][][] lights;

  private final float[] outside;
  private final float[][] view;
  private final float[][] clear;
  private final float[] transmission;
  private final float[][] albedo;
  private final float[][] normal;
  private final float[] depth;
  private final float[][] parts;

  Gathered(int width, int height, int groups, int parts) {
    int n = width * height;
    this.width = width;
    this.height = height;
    lights = new float[groups][3][n];
    outside = new float[n];
    view = new float[3][n];
    clear = new float[3][n];
    transmission = new float[n];
    albedo = new float[3][n];
    normal = new float[3][n];
    depth = new float[n];
    this.parts = new float[parts][n];
  }

  /**
   * Adds a look at the world outside.
   *
   * @param through share of it that sheer cloth lets through, 1 where none hangs
   */
  void outside(int i, float[] seen, float[] bright, float through) {
    boolean bare = through == 1;
    for (int c = 0; c < 3; c++) {
      lights[0][c][i] += through * seen[c];
      view[c][i] += bare ? seen[c] : 0;
      clear[c][i] += bare ? bright[c] : 0;
    }
    outside[i] += bare ? 1 : 0;
    transmission[i] += bare ? bright[3] : 0;
  }

  /**
   * A surface that is looked at.
   *
   * @param light sent to the eye, by group and channel
   */
  record Surface(float[] light, float[] reflectance, float[] normal, float metres) {}

  /** Adds a look at a surface, of which a share is seen. */
  void surface(int i, Surface s, float share) {
    for (int k = 0; k < s.light.length; k++) {
      lights[k / 3][k % 3][i] += share * s.light[k];
    }
    for (int c = 0; c < 3; c++) {
      albedo[c][i] += share * s.reflectance[c];
      normal[c][i] += share * s.normal[c];
    }
    depth[i] += share * s.metres;
  }

  /** Counts a look at a named part. */
  void part(int part, int i, float share) {
    parts[part][i] += share;
  }

  /** Makes means of a pixel's sums over so many looks. */
  void settle(int i, int looks) {
    float share = 1f / looks;
    for (float[][] light : lights) {
      scale(light, i, share);
    }
    scale(view, i, share);
    scale(clear, i, share);
    scale(albedo, i, share);
    scale(parts, i, share);
    scale(new float[][] {outside, transmission, depth}, i, share);
    float size =
        (float)
            Math.sqrt(
                normal[0][i] * normal[0][i]
                    + normal[1][i] * normal[1][i]
                    + normal[2][i] * normal[2][i]);
    scale(normal, i, size > 0 ? 1 / size : 0);
  }

  private static void scale(float[][] planes, int i, float by) {
    for (float[] plane : planes) {
      plane[i] *= by;
    }
  }

  Truth truth(List<String> names) {
    return new Truth(outside, view, clear, transmission, albedo, normal, depth, names, parts);
  }
}
