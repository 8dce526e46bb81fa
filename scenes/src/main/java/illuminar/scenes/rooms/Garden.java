package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.OutdoorMaterials;
import java.util.Random;

/** What grows and stands outside. */
public final class Garden {
  private static final Material BARK = OutdoorMaterials.bark();
  private static final Material HEDGE = OutdoorMaterials.hedge();

  private Garden() {}

  /** A bare tree; the same seed grows the same tree. */
  public static void tree(Mesh m, double height, int seed) {
    Random random = new Random(seed);
    limb(
        m,
        Vec.of(0, -0.1, 0),
        Vec.of(0.05, 1, 0.02).unit(),
        height * 0.34,
        height * 0.018,
        6,
        random);
  }

  /** One bough from a place in a direction, with its twigs. */
  static void bough(Mesh m, Vec from, Vec towards, double length, int seed) {
    limb(m, from, towards.unit(), length, length * 0.022, 4, new Random(seed));
  }

  private static void limb(
      Mesh m, Vec from, Vec along, double length, double thick, int order, Random random) {
    Vec at = from;
    Vec way = along;
    int pieces = 4;
    for (int i = 0; i < pieces; i++) {
      way = bent(way, 0.22, random);
      Vec to = at.plus(way.times(length / pieces));
      double r = thick * (1 - 0.12 * i);
      m.twig(point(at), point(to), Math.max(0.0024, r), order > 3 ? 10 : 4, BARK);
      if (order > 0 && i > 0) {
        int twigs = order > 3 ? 2 : random.nextDouble() < 0.72 ? 1 : 0;
        for (int k = 0; k < twigs; k++) {
          Vec side = bent(way, 1.15, random);
          double share = 0.48 + 0.24 * random.nextDouble();
          limb(m, to, side, length * share, r * 0.62, order - 1, random);
        }
      }
      at = to;
    }
    if (order > 0) {
      limb(m, at, bent(way, 0.5, random), length * 0.62, thick * 0.6, order - 1, random);
    }
  }

  private static Vec bent(Vec way, double by, Random random) {
    return way.plus(
            Vec.of(
                by * (random.nextDouble() - 0.5) * 2,
                by * (random.nextDouble() - 0.42) * 1.6,
                by * (random.nextDouble() - 0.5) * 2))
        .unit();
  }

  private static double[] point(Vec v) {
    return new double[] {v.x(), v.y(), v.z()};
  }

  /** A clipped ball of box. */
  static void ball(Mesh m, double radius) {
    m.sheet(
        (u, v) -> {
          double a = 2 * Math.PI * u;
          double b = Math.PI * (v - 0.5);
          double r =
              radius
                  * (1
                      + 0.03 * Math.sin(9 * a + 3 * Math.sin(5 * b))
                      + 0.025 * Math.sin(13 * b + 4 * a));
          return new double[] {
            r * Math.cos(b) * Math.cos(a),
            radius * 0.9 + 0.92 * r * Math.sin(b),
            r * Math.cos(b) * Math.sin(a)
          };
        },
        60,
        34,
        HEDGE);
  }

  /** A low hedge from x = 0. */
  public static void hedge(Mesh m, double length, double high, double deep) {
    m.sheet(
        (u, v) -> {
          double a = Math.PI * v;
          double wave = 0.03 * Math.sin(u * length * 7) + 0.02 * Math.sin(u * length * 17 + 3 * v);
          return new double[] {
            length * u,
            (high + wave) * Math.pow(Math.sin(a), 0.35),
            -(deep / 2 + wave) * Math.signum(Math.cos(a)) * Math.pow(Math.abs(Math.cos(a)), 0.4)
          };
        },
        (int) (length * 14),
        26,
        HEDGE);
  }

  /** A terracotta pot with a clipped ball in it. */
  public static void pot(Mesh m, double size) {
    m.lathe(
        new double[] {
          0,
          0,
          0.15 * size,
          0,
          0.21 * size,
          0.34 * size,
          0.235 * size,
          0.34 * size,
          0.235 * size,
          0.40 * size,
          0.2 * size,
          0.40 * size,
          0.19 * size,
          0.34 * size,
          0,
          0.34 * size
        },
        40,
        Materials.clay());
    ball(m.at(0, 0.34 * size, 0, 0), 0.26 * size);
  }

  /** A gutter and a pipe down a wall that faces +z; the pipe's foot at the origin. */
  public static void drainpipe(Mesh m, double high, Material paint) {
    m.rod(new double[] {0, 0.06, 0.075}, new double[] {0, high, 0.075}, 0.036, 24, paint);
    m.rod(new double[] {0, 0.10, 0.075}, new double[] {0, 0.0, 0.17}, 0.036, 24, paint);
    for (double y = 0.5; y < high; y += 1.05) {
      m.rod(new double[] {0, y, 0.075}, new double[] {0, y + 0.05, 0.075}, 0.044, 24, paint);
      m.box(-0.07, y + 0.005, 0, 0.07, y + 0.045, 0.05, 0.006, paint);
    }
    m.lathe(
        new double[] {0, high, 0.09, high + 0.02, 0.11, high + 0.16, 0, high + 0.16}, 20, paint);
  }
}
