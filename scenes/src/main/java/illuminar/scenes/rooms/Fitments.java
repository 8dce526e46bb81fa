package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;

/** What is fitted into a kitchen. A piece stands on the mesh's origin, its front to +z. */
final class Fitments {
  /** Height of a worktop. */
  static final double TOP = 0.90;

  /** From the wall to a worktop's edge. */
  static final double DEEP = 0.62;

  static final Material STEEL = Materials.metal(0.58, 0.58, 0.59, 0.22);
  static final Material STONE = Materials.paint(0.095, 0.097, 0.10, 0.05, 0.12);
  private static final Material FRONTS = Materials.paint(0.26, 0.33, 0.29, 0.04, 0.25);
  private static final Material SCREEN = Materials.paint(0.012, 0.012, 0.014, 0.06, 0.03);

  private Fitments() {}

  /** A row of base or wall cupboards: x along it from 0, fronts to +z, a bar handle on each. */
  static void row(Mesh m, int n, double wide, double y0, double y1, double deep) {
    m.box(0, y0, 0, n * wide, y1, deep - 0.02, 0.002, FRONTS);
    for (int i = 0; i < n; i++) {
      double x = i * wide;
      m.box(x + 0.002, y0 + 0.002, deep - 0.02, x + wide - 0.002, y1 - 0.002, deep, 0.002, FRONTS);
      double hx = i % 2 == 0 ? x + wide - 0.05 : x + 0.05;
      boolean low = y0 < TOP;
      double hy = low ? y1 - 0.20 : y0 + 0.06;
      for (double y : new double[] {hy, hy + 0.14}) {
        m.rod(new double[] {hx, y, deep}, new double[] {hx, y, deep + 0.03}, 0.004, 10, STEEL);
      }
      m.rod(
          new double[] {hx, hy - 0.02, deep + 0.03},
          new double[] {hx, hy + 0.16, deep + 0.03},
          0.005,
          12,
          STEEL);
    }
  }

  /** A steel sink in a worktop, its tap at the back, the middle of its rim at x = 0. */
  static void sink(Mesh m) {
    m.box(-0.3, TOP - 0.002, 0.10, 0.3, TOP + 0.006, 0.52, 0.004, STEEL);
    m.box(-0.26, TOP + 0.004, 0.14, 0.26, TOP + 0.008, 0.48, SCREEN);
    m.rod(new double[] {0, TOP, 0.09}, new double[] {0, TOP + 0.28, 0.09}, 0.013, 18, STEEL);
    m.rod(new double[] {0, TOP + 0.28, 0.09}, new double[] {0, TOP + 0.30, 0.28}, 0.012, 18, STEEL);
    m.rod(new double[] {0, TOP + 0.30, 0.28}, new double[] {0, TOP + 0.24, 0.28}, 0.012, 18, STEEL);
  }

  /**
   * An oven with a dark window under a dark hob and a steel hood, from x = −0.6 to 0, its back to z
   * = 0.
   *
   * @param high height of the ceiling, where the flue ends
   */
  static void cooker(Mesh m, double high) {
    m.box(-0.6, 0.1, 0, 0, TOP - 0.01, DEEP - 0.02, 0.003, STEEL);
    m.box(-0.57, 0.2, DEEP - 0.021, -0.03, 0.68, DEEP - 0.012, 0.003, SCREEN);
    m.rod(
        new double[] {-0.52, 0.73, DEEP + 0.03},
        new double[] {-0.08, 0.73, DEEP + 0.03},
        0.009,
        16,
        STEEL);
    for (double x : new double[] {-0.50, -0.10}) {
      m.rod(
          new double[] {x, 0.73, DEEP - 0.02},
          new double[] {x, 0.73, DEEP + 0.03},
          0.006,
          12,
          STEEL);
    }
    for (int i = 0; i < 4; i++) {
      double x = -0.50 + 0.133 * i;
      m.rod(
          new double[] {x, 0.81, DEEP - 0.02},
          new double[] {x, 0.81, DEEP + 0.015},
          0.018,
          20,
          SCREEN);
    }
    m.box(-0.6, TOP - 0.01, 0, 0, TOP + 0.004, DEEP - 0.01, 0.002, SCREEN);
    m.box(-0.6, 1.52, 0, 0, 1.60, 0.46, 0.004, STEEL);
    m.box(-0.42, 1.60, 0, -0.18, high, 0.26, 0.003, STEEL);
    Mesh pot = m.at(-0.42, TOP + 0.004, 0.2, 0);
    pot.lathe(
        new double[] {0, 0, 0.10, 0, 0.105, 0.01, 0.105, 0.14, 0.10, 0.145, 0.03, 0.165, 0, 0.165},
        40,
        STEEL);
    pot.ball(0, 0.178, 0, 0.014, 1, SCREEN);
  }

  /** A tall steel fridge with two doors, its back to z = 0. */
  static void fridge(Mesh m) {
    m.box(-0.32, 0.02, 0, 0.32, 1.82, 0.62, 0.006, STEEL);
    m.box(-0.32, 1.20, 0.615, 0.32, 1.206, 0.622, SCREEN);
    for (double[] h : new double[][] {{0.55, 1.12}, {1.28, 1.62}}) {
      m.rod(new double[] {-0.25, h[0], 0.66}, new double[] {-0.25, h[1], 0.66}, 0.009, 16, STEEL);
      for (double y : h) {
        m.rod(new double[] {-0.25, y, 0.61}, new double[] {-0.25, y, 0.66}, 0.006, 12, STEEL);
      }
    }
  }
}
