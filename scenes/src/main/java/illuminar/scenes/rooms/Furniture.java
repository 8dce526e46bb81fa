package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import java.util.Random;

/** Pieces that stand in more than one room. Every piece stands on the mesh's own origin. */
public final class Furniture {
  public static final Material BRASS = Materials.metal(0.78, 0.52, 0.20, 0.28);
  static final Material STEEL = Materials.metal(0.55, 0.56, 0.58, 0.35);
  static final Material IRON = Materials.paint(0.028, 0.029, 0.031, 0.04, 0.4);

  private static final double[][] BINDINGS = {
    {0.23, 0.045, 0.035}, {0.035, 0.075, 0.05}, {0.03, 0.05, 0.115}, {0.30, 0.19, 0.085},
    {0.11, 0.05, 0.03}, {0.42, 0.36, 0.25}, {0.055, 0.05, 0.048}, {0.19, 0.12, 0.04},
    {0.12, 0.16, 0.17}, {0.36, 0.10, 0.05},
  };

  private Furniture() {}

  /** A row of books from x = 0 to {@code width}, backs towards +z, deep along −z. */
  static void books(Mesh mesh, double width, double tallest, int seed) {
    Random random = new Random(seed);
    double x = 0;
    int n = seed * 100;
    while (true) {
      double thick = 0.016 + 0.03 * random.nextDouble();
      double high = tallest * (0.70 + 0.30 * random.nextDouble());
      double deep = 0.13 + 0.05 * random.nextDouble();
      if (x + thick > width) {
        return;
      }
      double back = -0.012 * random.nextDouble();
      double[] c = BINDINGS[random.nextInt(BINDINGS.length)];
      Material m = Materials.book(c[0], c[1], c[2], n++, 0, high);
      // Binding heights are in room coordinates, so the material is made for the shelf's height.
      Material placed = shifted(m, mesh);
      mesh.box(x, 0, back - deep, x + thick - 0.0012, high, back, 0.0035, placed);
      x += thick;
      if (random.nextDouble() < 0.05) {
        x += 0.05;
      }
    }
  }

  private static Material shifted(Material m, Mesh mesh) {
    double lift = mesh.height();
    return p -> {
      p.y -= (float) lift;
      m.shade(p);
      p.y += (float) lift;
    };
  }

  /** A simple chair with a slatted back towards +z. */
  public static void chair(Mesh mesh, Material wood, Material seat) {
    double w = 0.21;
    for (int sx = -1; sx <= 1; sx += 2) {
      mesh.rod(
          new double[] {sx * w, 0, -0.19},
          new double[] {sx * w * 0.95, 0.44, -0.18},
          0.017,
          12,
          wood);
      mesh.rod(
          new double[] {sx * w, 0, 0.22},
          new double[] {sx * w * 0.92, 0.46, 0.19},
          0.018,
          12,
          wood);
      mesh.rod(
          new double[] {sx * w * 0.92, 0.46, 0.19},
          new double[] {sx * w * 0.9, 0.93, 0.26},
          0.017,
          12,
          wood);
      mesh.rod(
          new double[] {sx * w * 0.98, 0.2, -0.185},
          new double[] {sx * w * 0.96, 0.2, 0.205},
          0.011,
          10,
          wood);
    }
    mesh.rod(new double[] {-w, 0.26, -0.185}, new double[] {w, 0.26, -0.185}, 0.011, 10, wood);
    mesh.box(-0.235, 0.435, -0.22, 0.235, 0.462, 0.215, 0.01, wood);
    mesh.box(-0.215, 0.462, -0.2, 0.215, 0.492, 0.19, 0.015, seat);
    for (int i = 0; i < 3; i++) {
      double y = 0.60 + 0.14 * i;
      double z = 0.215 + 0.02 * i;
      mesh.box(-0.19, y, z - 0.008, 0.19, y + 0.05, z + 0.008, 0.006, wood);
    }
  }

  /** A framed sheet on a wall that faces +z, lower left corner at the origin. */
  public static void framed(Mesh mesh, double w, double h, Material print, Material wood) {
    double t = 0.028;
    mesh.box(0, 0, 0, w, h, 0.008, Materials.paint(0.78, 0.76, 0.70, 0.03, 0.1));
    double m = Math.min(w, h) * 0.11 + t;
    mesh.box(m, m, 0.007, w - m, h - m, 0.0095, print);
    mesh.box(0, 0, 0, w, t, 0.026, 0.004, wood);
    mesh.box(0, h - t, 0, w, h, 0.026, 0.004, wood);
    mesh.box(0, t, 0, t, h - t, 0.026, 0.004, wood);
    mesh.box(w - t, t, 0, w, h - t, 0.026, 0.004, wood);
  }

  /** A hanging curtain from x = 0 to {@code width}, {@code height} long, with folds. */
  public static void curtain(Mesh mesh, double width, double height, int folds, Material cloth) {
    mesh.sheet(
        (u, v) -> {
          double sway = 0.6 + 0.4 * v;
          double fold = Math.sin(u * folds * 2 * Math.PI + 0.7 * Math.sin(u * 17));
          double x = width * (u + 0.018 * Math.sin(v * 3 + u * 9) * v);
          double z = 0.045 * sway * fold + 0.012 * Math.sin(u * 31 + v * 2.2);
          return new double[] {x, -height * v, z};
        },
        folds * 14,
        28,
        cloth);
  }

  /** A potted plant with arching leaves. */
  public static void plant(Mesh mesh, double size, int leaves, int seed) {
    plant(mesh, size, leaves, seed, Materials.leaf());
  }

  /** The same with leaves of a material that is known by name. */
  public static void plant(Mesh mesh, double size, int leaves, int seed, Material leaf) {
    mesh.lathe(
        new double[] {
          0,
          0,
          0.07 * size,
          0,
          0.10 * size,
          0.16 * size,
          0.112 * size,
          0.16 * size,
          0.112 * size,
          0.19 * size,
          0.098 * size,
          0.19 * size,
          0.09 * size,
          0.165 * size,
          0,
          0.165 * size
        },
        40,
        Materials.clay());
    Random random = new Random(seed);
    for (int i = 0; i < leaves; i++) {
      double turn = 360.0 * i / leaves + 30 * random.nextDouble();
      double length = size * (0.28 + 0.22 * random.nextDouble());
      double lift = 0.5 + 0.9 * random.nextDouble();
      double broad = size * (0.022 + 0.012 * random.nextDouble());
      mesh.at(0, 0.16 * size, 0, turn)
          .sheet(
              (u, v) -> {
                double along = v;
                double half = broad * Math.sin(Math.PI * Math.min(1, along * 0.97 + 0.03));
                double x = length * along * (0.25 + 0.75 * along);
                double y = length * lift * along * (1.35 - 0.95 * along);
                double cup = 0.25 * broad * (2 * u - 1) * (2 * u - 1);
                return new double[] {x, y + cup, half * (2 * u - 1)};
              },
              4,
              12,
              leaf);
    }
  }

  /** A cast-iron column radiator between x = 0 and {@code width}. */
  static void radiator(Mesh mesh, double width, double height, Material paint) {
    int n = (int) Math.round(width / 0.062);
    for (int i = 0; i < n; i++) {
      double x = (i + 0.5) * width / n;
      for (int k = -1; k <= 1; k++) {
        mesh.rod(
            new double[] {x, 0.1, k * 0.042},
            new double[] {x, height - 0.02, k * 0.042},
            0.0165,
            14,
            paint);
      }
      mesh.at(x, 0, 0, 0).box(-0.026, 0.075, -0.062, 0.026, 0.125, 0.062, 0.018, paint);
      mesh.at(x, 0, 0, 0).box(-0.026, height - 0.05, -0.062, 0.026, height, 0.062, 0.02, paint);
    }
    mesh.box(0.02, 0, -0.03, 0.05, 0.08, 0.03, 0.008, paint);
    mesh.box(width - 0.05, 0, -0.03, width - 0.02, 0.08, 0.03, 0.008, paint);
  }

  /** A wide bowl on a foot, 0.34 m across. */
  static void bowl(Mesh mesh, Material glaze) {
    mesh.lathe(
        new double[] {
          0, 0, 0.07, 0, 0.075, 0.012, 0.06, 0.02, 0.13, 0.06, 0.17, 0.10, 0.163, 0.102, 0.12,
          0.062, 0.04, 0.03, 0, 0.03
        },
        48,
        glaze);
  }

  /** A mug with a handle. */
  static void mug(Mesh mesh, Material glaze) {
    mesh.lathe(
        new double[] {0, 0, 0.036, 0, 0.04, 0.012, 0.04, 0.092, 0.036, 0.092, 0.036, 0.02, 0, 0.02},
        36,
        glaze);
    mesh.sheet(
        (u, v) -> {
          double a = Math.PI * (u - 0.5);
          double b = 2 * Math.PI * v;
          double r = 0.026 + 0.005 * Math.cos(b);
          return new double[] {
            0.038 + r * Math.cos(a), 0.05 + r * Math.sin(a), 0.005 * Math.sin(b)
          };
        },
        20,
        10,
        glaze);
  }

  /** A cosine or sine pulled towards the corners of a rounded box. */
  static double rounded(double c, double power) {
    return Math.signum(c) * Math.pow(Math.abs(c), power);
  }

  /** A rounded cushion round a centre, with half sizes. */
  static void cushion(
      Mesh m, double x, double y, double z, double hx, double hy, double hz, Material cover) {
    m.sheet(
        (u, v) -> {
          double a = 2 * Math.PI * u;
          double b = Math.PI * (v - 0.5);
          double cb = rounded(Math.cos(b), 0.45);
          return new double[] {
            x + hx * cb * rounded(Math.cos(a), 0.4),
            y + hy * rounded(Math.sin(b), 0.5),
            z + hz * cb * rounded(Math.sin(a), 0.4)
          };
        },
        64,
        32,
        cover);
  }
}
