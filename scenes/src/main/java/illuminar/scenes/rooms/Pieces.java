package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;

/**
 * Plain pieces for invented rooms. Every piece stands on the mesh's own origin, its front to +z.
 */
public final class Pieces {
  private Pieces() {}

  /** A sofa, {@code w} wide, its back to z = 0. */
  public static void sofa(Mesh m, double w, Material cover) {
    double x = w / 2;
    m.box(-x, 0.08, 0.05, x, 0.34, 0.86, 0.03, cover);
    m.box(-x, 0.3, 0.02, x, 0.82, 0.24, 0.06, cover);
    for (int s = -1; s <= 1; s += 2) {
      m.box(s * x, 0.1, 0.04, s * (x - 0.16), 0.6, 0.88, 0.05, cover);
      Furniture.cushion(m, s * x / 2.1, 0.42, 0.53, x / 2.2, 0.11, 0.33, cover);
      for (int e = 0; e < 2; e++) {
        m.rod(
            new double[] {s * (x - 0.1), 0, 0.12 + 0.66 * e},
            new double[] {s * (x - 0.1), 0.1, 0.12 + 0.66 * e},
            0.022,
            12,
            Furniture.IRON);
      }
    }
  }

  /** A table with four legs. */
  public static void table(Mesh m, double w, double deep, double high, Material wood) {
    m.box(-w / 2, high - 0.035, -deep / 2, w / 2, high, deep / 2, 0.006, wood);
    m.box(
        -w / 2 + 0.06,
        high - 0.11,
        -deep / 2 + 0.06,
        w / 2 - 0.06,
        high - 0.035,
        deep / 2 - 0.06,
        wood);
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        double x = sx * (w / 2 - 0.07);
        double z = sz * (deep / 2 - 0.07);
        m.rod(new double[] {x, 0, z}, new double[] {x, high - 0.04, z}, 0.028, 16, wood);
      }
    }
  }

  /** Open shelves with books, its back to z = 0. */
  public static void shelves(Mesh m, double w, double high, Material wood, int seed) {
    for (double x : new double[] {0, w - 0.024}) {
      m.box(x, 0, 0, x + 0.024, high, 0.3, 0.003, wood);
    }
    m.box(0, 0, 0, w, high, 0.012, wood);
    int row = 0;
    for (double y = 0.06; y < high; y += 0.36) {
      m.box(0, y, 0, w, y + 0.024, 0.295, 0.003, wood);
      if (y + 0.34 < high) {
        Furniture.books(
            m.at(0.03, y + 0.024, 0.24, 0), (w - 0.06) * (0.5 + 0.1 * (row % 5)), 0.28, seed + row);
      }
      row++;
    }
  }

  /** A painted reading lamp with a jointed arm, standing, {@code turn} degrees round. */
  public static void readingLamp(Mesh m, Material paint) {
    m.lathe(new double[] {0, 0, 0.09, 0, 0.09, 0.018, 0.02, 0.03, 0, 0.03}, 32, paint);
    m.rod(new double[] {0, 0.02, 0}, new double[] {-0.14, 0.32, 0}, 0.009, 12, paint);
    m.rod(new double[] {-0.14, 0.32, 0}, new double[] {0.12, 0.55, 0}, 0.009, 12, paint);
    m.at(0.14, 0.47, 0, 0)
        .lathe(new double[] {0.085, 0, 0.075, 0.05, 0.03, 0.10, 0.02, 0.13, 0, 0.13}, 32, paint);
  }

  /** A standing lamp: foot, stem, and a cone of cloth from {@code high} up. */
  public static void shadeLamp(Mesh m, double high, double wide, Material cloth, Material stem) {
    m.lathe(
        new double[] {
          0, 0, wide * 0.6, 0, wide * 0.6, 0.015, 0.02, 0.04, 0.011, 0.08, 0.011, high, 0, high
        },
        32,
        stem);
    m.lathe(new double[] {wide, high, wide * 0.62, high + 1.15 * wide}, 56, cloth);
  }

  /** A metal bowl on a flex, white inside, its rim at the origin; the flex {@code flex} long. */
  public static void pendant(Mesh m, double flex, Material outer, Material bulb) {
    m.lathe(
        new double[] {0.19, -0.065, 0.192, -0.06, 0.17, 0.0, 0.12, 0.06, 0.05, 0.09, 0, 0.16},
        48,
        outer);
    m.lathe(
        new double[] {0.187, -0.063, 0.166, -0.003, 0.115, 0.055, 0.045, 0.08, 0, 0.085},
        48,
        Materials.paint(0.85, 0.85, 0.82, 0.04, 0.2));
    m.ball(0, -0.03, 0, 0.034, 1.1, bulb);
    m.rod(new double[] {0, 0.15, 0}, new double[] {0, flex, 0}, 0.004, 8, Furniture.IRON);
  }
}
