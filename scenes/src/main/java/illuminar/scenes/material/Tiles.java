package illuminar.scenes.material;

import static illuminar.scenes.material.Noise.hash;

/** Laid in rows: glazed tiles, flags of stone. Colours as in {@link Materials}. */
public final class Tiles {
  private static final double GROUT = 0.0018;
  private static final double JOINT = 0.003;

  private Tiles() {}

  /** Glazed tiles of a size in metres on upright walls, no two quite in one plane. */
  public static Material glazed(double size, double r, double g, double b) {
    return p -> {
      double u = (p.x + p.z) / size;
      double v = p.y / size;
      if (edge(u, v) * size < GROUT) {
        p.colour(0.50, 0.49, 0.46, 1);
        return;
      }
      float own = own(u, v, 7);
      p.colour(r, g, b, 0.95 + 0.08 * own);
      p.gloss = 0.055f;
      p.rough = 0.04f;
      if (p.detail) {
        float tilt = own(u, v, 11) - 0.5f;
        p.bump(0.012f * (own - 0.5f), 0.012f * tilt, 0.012f * tilt);
      }
    };
  }

  /** Worn flags of a size in metres on a floor. */
  public static Material flags(double size, double r, double g, double b) {
    return p -> {
      double u = p.x / size;
      double v = p.z / size;
      if (edge(u, v) * size < JOINT) {
        p.colour(r, g, b, 0.45);
        return;
      }
      p.colour(r, g, b, 0.86 + 0.28 * own(u, v, 3));
      p.gloss = 0.045f;
      p.rough = 0.16f;
    };
  }

  /** How far inside its cell of 1 by 1 a place lies. */
  private static double edge(double u, double v) {
    double in = u - Math.floor(u);
    double up = v - Math.floor(v);
    return Math.min(Math.min(in, 1 - in), Math.min(up, 1 - up));
  }

  private static float own(double u, double v, int seed) {
    return hash((int) Math.floor(u), (int) Math.floor(v), seed);
  }
}
