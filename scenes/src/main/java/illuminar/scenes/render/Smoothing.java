package illuminar.scenes.render;

import java.util.stream.IntStream;

/**
 * Takes render noise out of light, not out of texture: an edge-avoiding wavelet filter led by
 * normals and depth. Source: Dammertz, Sewtz, Hanika, Lensch, "Edge-avoiding À-Trous wavelet
 * transform for fast global illumination filtering", 2010.
 */
final class Smoothing {
  private static final float[] KERNEL = {1 / 16f, 4 / 16f, 6 / 16f, 4 / 16f, 1 / 16f};

  private Smoothing() {}

  /**
   * Smooths three planes in place.
   *
   * @param tolerance how far two values may differ, as a share of their size, to be mixed; halves
   *     with each of the {@code levels} after the first two, which mix everything on one surface
   */
  static void smooth(PathTracer.Gathered g, float[][] light, int levels, float tolerance) {
    float[][] from = light;
    float[][] to = new float[3][g.width * g.height];
    for (int level = 0; level < levels; level++) {
      step(g, from, to, 1 << level, level < 2 ? 1e3f : tolerance / (1 << (level - 2)));
      float[][] swap = from;
      from = to;
      to = swap;
    }
    if (from != light) {
      for (int c = 0; c < 3; c++) {
        System.arraycopy(from[c], 0, light[c], 0, light[c].length);
      }
    }
  }

  /** Holds single sparks down to the brightest but one of their neighbours. */
  static void calm(PathTracer.Gathered g, float[][] light) {
    for (float[] plane : light) {
      float[] from = plane.clone();
      IntStream.range(1, g.height - 1)
          .parallel()
          .forEach(
              y -> {
                for (int x = 1; x < g.width - 1; x++) {
                  int i = y * g.width + x;
                  float first = 0;
                  float second = 0;
                  for (int k = 0; k < 9; k++) {
                    float v = k == 4 ? 0 : from[i + (k / 3 - 1) * g.width + k % 3 - 1];
                    second = v > first ? first : Math.max(second, v);
                    first = Math.max(first, v);
                  }
                  plane[i] = Math.min(from[i], second);
                }
              });
    }
  }

  private static void step(
      PathTracer.Gathered g, float[][] from, float[][] to, int reach, float tolerance) {
    IntStream.range(0, g.height)
        .parallel()
        .forEach(
            y -> {
              for (int x = 0; x < g.width; x++) {
                pixel(g, from, to, x, y, reach, tolerance);
              }
            });
  }

  private static void pixel(
      PathTracer.Gathered g, float[][] from, float[][] to, int x, int y, int reach, float tol) {
    int i = y * g.width + x;
    if (g.outside[i] > 0.999f) {
      to[0][i] = from[0][i];
      to[1][i] = from[1][i];
      to[2][i] = from[2][i];
      return;
    }
    float r = 0;
    float gr = 0;
    float b = 0;
    float total = 0;
    float centre = from[0][i] + from[1][i] + from[2][i];
    for (int v = -2; v <= 2; v++) {
      int yy = y + v * reach;
      if (yy < 0 || yy >= g.height) {
        continue;
      }
      for (int u = -2; u <= 2; u++) {
        int xx = x + u * reach;
        if (xx < 0 || xx >= g.width) {
          continue;
        }
        int k = yy * g.width + xx;
        if (g.outside[k] > 0.6f) {
          continue;
        }
        float cos =
            g.normal[0][i] * g.normal[0][k]
                + g.normal[1][i] * g.normal[1][k]
                + g.normal[2][i] * g.normal[2][k];
        if (cos < 0.75f) {
          continue;
        }
        float c2 = cos * cos;
        float c8 = c2 * c2 * c2 * c2;
        float dd = (g.depth[i] - g.depth[k]) / (0.012f * g.depth[i] * (1 + 0.35f * reach));
        float other = from[0][k] + from[1][k] + from[2][k];
        float dl = (centre - other) / (tol * (0.5f * (centre + other)) + 1e-5f);
        float w = KERNEL[u + 2] * KERNEL[v + 2] * c8 * c8 / (1 + dd * dd * dd * dd) / (1 + dl * dl);
        r += w * from[0][k];
        gr += w * from[1][k];
        b += w * from[2][k];
        total += w;
      }
    }
    if (total <= 0) {
      to[0][i] = from[0][i];
      to[1][i] = from[1][i];
      to[2][i] = from[2][i];
      return;
    }
    to[0][i] = r / total;
    to[1][i] = gr / total;
    to[2][i] = b / total;
  }
}
