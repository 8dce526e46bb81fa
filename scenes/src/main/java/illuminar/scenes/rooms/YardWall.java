package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Sun;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.OutdoorMaterials;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.outdoors.PlainSky;
import illuminar.scenes.render.Scene;
import java.util.List;
import java.util.Optional;

/**
 * The yard at noon: the hard shadow of a roof behind the camera lies across a pale wall and paving,
 * bare branches stand before the sky. Group "roof-shade" is the sun that only that roof keeps away;
 * with it the yard is free of the shadow. The wall is z = 0, the camera looks towards −z.
 */
public final class YardWall {
  private static final double WALL_HIGH = 2.9;
  private static final double CORNER = 2.3;
  private static final double EAVES = 4.7;

  private static final Material WALL = OutdoorMaterials.render(0.66, 0.63, 0.56);
  private static final Material GABLE = OutdoorMaterials.render(0.64, 0.61, 0.55);
  private static final Material STONE = OutdoorMaterials.render(0.38, 0.36, 0.32);
  private static final Material PAVING = OutdoorMaterials.slabs(0.62, 0.9);
  private static final Material ROOF = OutdoorMaterials.slates();
  private static final Material GATE = Materials.wood(0.11, 0.19, 0.20, 1, 0.03, 0.4);
  private static final Material IRON_PAINT = Materials.paint(0.10, 0.12, 0.12, 0.04, 0.3);
  private static final Vec SUN = Vec.of(-0.38, 0.58, 0.72).unit();

  private YardWall() {}

  /**
   * Builds the yard.
   *
   * @param wind how far the lowest bough is bent down by wind, metres
   */
  public static Scene scene(double wind) {
    Mesh m = new Mesh();
    wall(m);
    house(m);
    roof(m);
    yard(m);
    Garden.tree(m.at(-4.7, 0, -4.3, 0), 8.4, 4);
    Garden.bough(m, Vec.of(-4.3, 3.3, -3.6), Vec.of(0.9, 0.42 - wind, 0.12), 2.5, 23);
    float[] sun = Tint.daylight(5300);
    List<Light> lights = List.of(new Sun(1, SUN, sun, 30), new Sun(2, SUN, sun, 30));
    Scene.Lighting lighting =
        new Scene.Lighting(
            List.of("sky", "sun", "roof-shade"),
            lights,
            List.of(),
            Optional.of(new Scene.Cast(2, 1, ROOF)));
    return Scene.open(
            "yard-wall",
            m,
            lighting,
            PlainSky.noon(),
            new Scene.Eye(Vec.of(0.1, 1.55, 7.4), 0, 1, 64))
        .part("wall", WALL)
        .part("gable", GABLE)
        .part("paving", PAVING);
  }

  private static void wall(Mesh m) {
    Joinery.Hole gate = new Joinery.Hole(-1.3, 0, -0.2, 2.15);
    Joinery.wall(m, -9, CORNER, WALL_HIGH, 0.34, WALL, gate);
    for (int i = 0; i < 12; i++) {
      double x = -9 + i * 0.943;
      m.box(x + 0.004, WALL_HIGH, -0.42, x + 0.939, WALL_HIGH + 0.11, 0.09, 0.02, STONE);
    }
    // a boarded gate with strap hinges in a stone surround
    for (int i = 0; i < 8; i++) {
      double x = gate.x0() + 0.02 + i * 0.1325;
      m.box(x, 0.03, -0.2, x + 0.129, 2.12, -0.165, 0.004, GATE);
    }
    for (double y : new double[] {0.35, 1.75}) {
      m.box(gate.x0() + 0.02, y, -0.166, gate.x0() + 0.85, y + 0.05, -0.157, 0.003, Furniture.IRON);
    }
    m.box(gate.x1() - 0.16, 1.02, -0.166, gate.x1() - 0.06, 1.10, -0.15, 0.004, Furniture.IRON);
    m.rod(
        new double[] {gate.x1() - 0.11, 1.06, -0.16},
        new double[] {gate.x1() - 0.11, 1.06, -0.09},
        0.012,
        14,
        Furniture.IRON);
    m.box(gate.x0() - 0.2, 0, -0.1, gate.x0(), 2.15, 0.03, 0.012, STONE);
    m.box(gate.x1(), 0, -0.1, gate.x1() + 0.2, 2.15, 0.03, 0.012, STONE);
    m.box(gate.x0() - 0.28, 2.15, -0.34, gate.x1() + 0.28, 2.40, 0.04, 0.014, STONE);
    m.box(gate.x0() - 0.1, -0.1, -0.5, gate.x1() + 0.1, 0.06, 0.22, 0.02, STONE);
  }

  /** The wing on the right, taller than the wall, with a window, a gutter and a pipe. */
  private static void house(Mesh m) {
    Joinery.Hole window = new Joinery.Hole(3.35, 1.05, 4.35, 2.35);
    Mesh face = m.at(0, 0, 0.45, 0);
    Joinery.wall(face, CORNER, 9, EAVES, 0.4, GABLE, window);
    m.box(CORNER, -0.1, -4, CORNER + 0.4, EAVES, 0.1, GABLE);
    Joinery.sashes(face, window, 2, 4, 0.12, Joinery.WHITE);
    face.box(3.2, 0.92, -0.1, 4.5, 1.05, 0.08, 0.012, STONE);
    face.box(3.2, 2.35, -0.05, 4.5, 2.56, 0.02, 0.01, STONE);
    face.box(3.2, 0.9, -0.7, 4.5, 2.5, -0.66, Materials.paint(0.02, 0.022, 0.024, 0, 1));
    face.box(
        3.4,
        1.1,
        -0.152,
        4.3,
        2.3,
        -0.15,
        p -> {
          p.r = p.g = p.b = 0.012f;
          p.gloss = 0.10f;
          p.rough = 0.02f;
        });
    Furniture.curtain(
        face.at(3.36, 2.36, -0.36, 0), 0.22, 1.3, 3, Textiles.cloth(0.6, 0.58, 0.5, 400));
    Furniture.curtain(
        face.at(4.10, 2.36, -0.36, 0), 0.22, 1.3, 3, Textiles.cloth(0.6, 0.58, 0.5, 400));
    face.box(CORNER - 0.05, -0.1, 0, 9, 0.32, 0.035, 0.012, STONE);
    Garden.drainpipe(face.at(CORNER + 0.28, 0, 0, 0), EAVES - 0.25, IRON_PAINT);
    face.rod(
        new double[] {CORNER - 0.15, EAVES + 0.02, 0.16},
        new double[] {9, EAVES + 0.02, 0.16},
        0.062,
        20,
        IRON_PAINT);
    double n = Math.hypot(2, 3);
    double[] up = {0, 3 / n, 2 / n};
    face.quad(
        new double[][] {
          {CORNER - 0.2, EAVES + 0.08, 0.22},
          {9, EAVES + 0.08, 0.22},
          {9, EAVES + 2.1, -2.8},
          {CORNER - 0.2, EAVES + 2.1, -2.8}
        },
        new double[][] {up, up, up, up},
        OutdoorMaterials.slates());
    face.box(CORNER - 0.16, EAVES - 0.1, -0.3, 9, EAVES + 0.02, 0.12, 0.01, Joinery.WHITE);
  }

  /** The roof behind the camera whose shadow is seen: two slopes, a gable, a chimney. */
  private static void roof(Mesh m) {
    double ridgeY = 9.6;
    double ridgeZ = 9.6;
    double right = -3.6;
    double[] any = {0, 1, 0};
    double[][] four = {any, any, any, any};
    m.quad(
        new double[][] {
          {-16, 6.7, 7.7}, {right, 6.7, 7.7}, {right, ridgeY, ridgeZ}, {-16, ridgeY, ridgeZ}
        },
        four,
        ROOF);
    m.quad(
        new double[][] {
          {-16, ridgeY, ridgeZ}, {right, ridgeY, ridgeZ}, {right, 6.7, 11.5}, {-16, 6.7, 11.5}
        },
        four,
        ROOF);
    m.triangle(
        new double[] {right, 6.7, 7.7},
        new double[] {right, ridgeY, ridgeZ},
        new double[] {right, 6.7, 11.5},
        any,
        any,
        any,
        ROOF);
    m.box(-16, 3.2, 7.9, right, 6.7, 11.4, ROOF);
    m.box(-8.6, ridgeY - 1, ridgeZ - 0.35, -7.7, ridgeY + 0.62, ridgeZ + 0.35, ROOF);
    m.box(-8.7, ridgeY + 0.62, ridgeZ - 0.42, -7.6, ridgeY + 0.72, ridgeZ + 0.42, ROOF);
    for (double x : new double[] {-8.4, -7.95}) {
      m.rod(
          new double[] {x, ridgeY + 0.7, ridgeZ},
          new double[] {x, ridgeY + 1.02, ridgeZ},
          0.13,
          16,
          ROOF);
    }
  }

  private static void yard(Mesh m) {
    m.box(-30, -1, 0, 30, 0, 30, PAVING);
    m.box(-30, -1, -30, 30, -0.05, 0, OutdoorMaterials.gravel());
    Garden.pot(m.at(-1.75, 0, 0.42, 0), 0.95);
    Garden.pot(m.at(0.35, 0, 0.36, 0), 0.8);
    // a barrel under the pipe's side, a bench, a watering can
    m.at(1.75, 0, 0.55, 0)
        .lathe(
            new double[] {
              0, 0, 0.25, 0, 0.31, 0.25, 0.325, 0.45, 0.31, 0.65, 0.26, 0.88, 0.24, 0.88, 0.24, 0.8,
              0, 0.8
            },
            44,
            Materials.wood(0.20, 0.12, 0.06, 1, 0.02, 0.5));
    for (double y : new double[] {0.14, 0.34, 0.56, 0.76}) {
      double r = 0.29 + 0.04 * Math.sin(Math.PI * y / 0.9);
      m.at(1.75, y, 0.55, 0)
          .lathe(
              new double[] {r, 0, r + 0.004, 0.004, r + 0.004, 0.036, r, 0.04},
              44,
              Furniture.STEEL);
    }
    m.at(-3.4, 0, 0.5, 0)
        .box(
            -0.8,
            0.40,
            -0.2,
            0.8,
            0.46,
            0.2,
            0.012,
            Materials.wood(0.30, 0.24, 0.17, 0, 0.02, 0.6));
    for (double x : new double[] {-4.05, -2.85}) {
      m.at(x, 0, 0.5, 0).box(0, 0, -0.17, 0.10, 0.40, 0.17, 0.01, STONE);
    }
    m.at(-3.1, 0.46, 0.48, 30)
        .lathe(
            new double[] {0, 0, 0.10, 0, 0.10, 0.20, 0.09, 0.22, 0.085, 0.2, 0.085, 0.02, 0, 0.02},
            36,
            Furniture.STEEL);
    m.rod(
        new double[] {-3.02, 0.52, 0.53},
        new double[] {-2.76, 0.70, 0.66},
        0.014,
        14,
        Furniture.STEEL);
    Garden.ball(m.at(-5.2, 0, 0.55, 0), 0.5);
    Garden.ball(m.at(5.3, 0, 1.1, 0), 0.42);
  }
}
