package illuminar.scenes.material;

import static illuminar.scenes.material.Noise.fractal;
import static illuminar.scenes.material.Noise.hash;
import static illuminar.scenes.material.Noise.value;

/** Woven things: cloth, rugs, quilts, thin curtains. Colours as in {@link Materials}. */
public final class Textiles {
  private Textiles() {}

  /** Woven cloth with a visible weave. */
  public static Material cloth(double r, double g, double b, double threadsPerMetre) {
    float k = (float) threadsPerMetre;
    return p -> {
      if (!p.detail) {
        p.colour(r, g, b, 0.92);
        return;
      }
      float weave =
          0.5f + 0.25f * (float) (Math.sin((p.x + p.z) * k * 6.283) + Math.sin(p.y * k * 6.283));
      float slub = fractal(p.x * 30, p.y * 300, p.z * 30, 2);
      p.colour(r, g, b, 0.80 + 0.20 * weave + 0.25 * (slub - 0.5));
    };
  }

  /** Field, border and pattern of a red rug. */
  public static double[][] red() {
    return new double[][] {{0.30, 0.055, 0.045}, {0.035, 0.065, 0.13}, {0.50, 0.39, 0.25}};
  }

  /** Field, border and pattern of a blue rug. */
  public static double[][] blue() {
    return new double[][] {{0.045, 0.085, 0.135}, {0.27, 0.10, 0.05}, {0.46, 0.40, 0.30}};
  }

  /** Field, border and pattern of a pale rug. */
  public static double[][] pale() {
    return new double[][] {{0.47, 0.42, 0.33}, {0.20, 0.23, 0.20}, {0.30, 0.12, 0.07}};
  }

  /** A woven rug centred at (cx, cz), half sizes in metres. */
  public static Material rug(double cx, double cz, double hx, double hz, double[][] colours) {
    return p -> {
      float u = (float) ((p.x - cx) / hx);
      float v = (float) ((p.z - cz) / hz);
      float rim = Math.max(Math.abs(u), 1 - (1 - Math.abs(v)) * (float) (hz / hx));
      float thread = 0.72f + 0.5f * value(p.x * 420, 0, p.z * 420);
      double[] red = colours[0];
      double[] blue = colours[1];
      double[] sand = colours[2];
      double[] c = red;
      float du = u * 5.5f;
      float dv = v * 5.5f * (float) (hz / hx);
      float cell = Math.abs(du - Math.round(du)) + Math.abs(dv - Math.round(dv));
      if (rim > 0.97f) {
        c = sand;
      } else if (rim > 0.80f) {
        c = blue;
        float t = (u + v) * 18;
        if (Math.abs(t - Math.round(t)) < 0.18f && rim > 0.84f && rim < 0.93f) {
          c = sand;
        }
      } else if (rim > 0.765f) {
        c = sand;
      } else if (cell < 0.17f) {
        c = sand;
      } else if (cell < 0.30f) {
        c = blue;
      }
      float wear = 0.85f + 0.3f * fractal(p.x * 3, 1, p.z * 3, 3);
      p.colour(c[0], c[1], c[2], thread * wear);
    };
  }

  /** A stitched patchwork quilt, seen from above. */
  public static Material quilt() {
    double[][] cloths = {
      {0.55, 0.50, 0.42},
      {0.16, 0.22, 0.29},
      {0.42, 0.17, 0.12},
      {0.34, 0.36, 0.26},
      {0.60, 0.57, 0.52},
      {0.50, 0.35, 0.15}
    };
    return p -> {
      double u = p.x / 0.17;
      double v = (p.z + p.y) / 0.17;
      int i = (int) Math.floor(u);
      int k = (int) Math.floor(v);
      double[] c = cloths[(int) (hash(i, k, 12) * cloths.length) % cloths.length];
      float weave = p.detail ? 0.9f + 0.2f * value(p.x * 500, p.y * 500, p.z * 500) : 1;
      double seam = Math.min(Math.min(u - i, 1 - u + i), Math.min(v - k, 1 - v + k));
      p.colour(c[0], c[1], c[2], weave * (seam < 0.03 ? 0.7 : 1));
    };
  }

  /**
   * Thin woven curtain cloth.
   *
   * @param through share of what is behind that shows through its weave
   */
  public static Material sheer(double r, double g, double b, double through) {
    return p -> {
      p.colour(r, g, b, 1);
      p.through = (float) through;
    };
  }
}
