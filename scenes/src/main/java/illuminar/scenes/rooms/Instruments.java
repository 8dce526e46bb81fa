package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;

/** Instruments of the weather house. Every piece stands on the mesh's own origin. */
final class Instruments {
  private Instruments() {}

  /** A telescope on a wooden tripod, looking along +x and a little up. */
  static void telescope(Mesh mesh, Material wood) {
    double[] head = {0, 1.12, 0};
    for (int i = 0; i < 3; i++) {
      double a = 2 * Math.PI * i / 3 + 0.5;
      mesh.rod(head, new double[] {0.42 * Math.cos(a), 0, 0.42 * Math.sin(a)}, 0.016, 12, wood);
      mesh.rod(
          new double[] {0.25 * Math.cos(a), 0.45, 0.25 * Math.sin(a)},
          new double[] {0, 0.45, 0},
          0.006,
          8,
          Furniture.BRASS);
    }
    mesh.ball(0, 1.14, 0, 0.035, 1, Furniture.BRASS);
    mesh.rod(new double[] {0, 1.14, 0}, new double[] {0, 1.22, 0}, 0.014, 16, Furniture.BRASS);
    double[] tail = {-0.46, 1.11, 0};
    double[] mid = {0.10, 1.275, 0};
    double[] front = {0.52, 1.40, 0};
    mesh.rod(tail, mid, 0.026, 32, Furniture.BRASS);
    mesh.rod(new double[] {-0.52, 1.092, 0}, tail, 0.017, 24, Furniture.IRON);
    mesh.rod(mid, front, 0.042, 36, Furniture.BRASS);
    mesh.rod(
        new double[] {0.505, 1.3955, 0}, new double[] {0.56, 1.412, 0}, 0.048, 36, Furniture.BRASS);
    mesh.rod(
        new double[] {0.09, 1.272, 0}, new double[] {0.115, 1.2795, 0}, 0.046, 36, Furniture.IRON);
  }

  /** Cups of an anemometer on a turned foot. */
  static void anemometer(Mesh mesh, Material wood) {
    mesh.lathe(
        new double[] {0, 0, 0.075, 0, 0.075, 0.015, 0.055, 0.025, 0.02, 0.04, 0, 0.04}, 40, wood);
    mesh.rod(new double[] {0, 0.03, 0}, new double[] {0, 0.25, 0}, 0.007, 16, Furniture.BRASS);
    for (int i = 0; i < 4; i++) {
      double a = Math.PI / 2 * i + 0.35;
      double x = 0.09 * Math.cos(a);
      double z = 0.09 * Math.sin(a);
      mesh.rod(new double[] {0, 0.25, 0}, new double[] {x, 0.25, z}, 0.003, 8, Furniture.BRASS);
      mesh.ball(x, 0.25, z, 0.027, 1, Furniture.STEEL);
    }
    mesh.ball(0, 0.255, 0, 0.014, 1, Furniture.BRASS);
  }

  /** A recording barometer in a glazed wooden case. */
  static void barograph(Mesh mesh, Material wood) {
    mesh.box(-0.17, 0, -0.1, 0.17, 0.04, 0.1, 0.008, wood);
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        mesh.box(
            sx * 0.15 - 0.007,
            0.04,
            sz * 0.08 - 0.007,
            sx * 0.15 + 0.007,
            0.19,
            sz * 0.08 + 0.007,
            wood);
      }
    }
    mesh.box(-0.165, 0.19, -0.095, 0.165, 0.205, 0.095, 0.005, wood);
    mesh.at(0.06, 0.045, 0, 0)
        .lathe(
            new double[] {0, 0, 0.045, 0, 0.045, 0.105, 0, 0.105}, 36, Materials.chart(5, false));
    mesh.at(-0.07, 0.045, 0, 0)
        .lathe(
            new double[] {
              0, 0, 0.035, 0, 0.035, 0.012, 0.028, 0.016, 0.035, 0.02, 0.035, 0.032, 0.028, 0.036,
              0.035, 0.04, 0.03, 0.055, 0, 0.055
            },
            32,
            Furniture.BRASS);
    mesh.rod(
        new double[] {-0.07, 0.11, 0.02},
        new double[] {0.05, 0.09, 0.05},
        0.002,
        6,
        Furniture.STEEL);
  }

  /** A globe on a turned stand. */
  static void globe(Mesh mesh, Material wood) {
    mesh.lathe(
        new double[] {0, 0, 0.09, 0, 0.09, 0.015, 0.03, 0.04, 0.016, 0.08, 0.022, 0.10, 0, 0.10},
        40,
        wood);
    mesh.ball(0, 0.235, 0, 0.125, 1, Materials.chart(9, false));
    mesh.at(0, 0.235, 0, 25)
        .sheet(
            (u, v) -> {
              double a = Math.PI * (u * 1.05 - 0.55);
              double r = 0.136;
              return new double[] {r * Math.cos(a), r * Math.sin(a), 0.012 * (v - 0.5)};
            },
            40,
            1,
            Furniture.BRASS);
  }
}
