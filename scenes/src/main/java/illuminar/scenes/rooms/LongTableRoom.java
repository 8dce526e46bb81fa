package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Bulb;
import illuminar.scenes.light.Disc;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Panel;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.outdoors.Backdrop;
import illuminar.scenes.outdoors.Heath;
import illuminar.scenes.outdoors.Outdoors;
import illuminar.scenes.outdoors.Turned;
import illuminar.scenes.render.Scene;
import java.util.ArrayList;
import java.util.List;

/**
 * The Long table room: white walls under daylight from two windows on the left, three pendants of
 * 2600 K over the table, and greenish tube light from a passage. One flash bounces off the ceiling
 * on the left; the other, in a soft box on a boom above the frame on the right, is mirrored by the
 * near end of the glossy table. The end wall is z = 0, the camera looks towards −z.
 */
public final class LongTableRoom {
  private static final double LEFT = -2.3;
  private static final double RIGHT = 2.3;
  private static final double BACK = 7.4;
  private static final double HIGH = 2.78;
  private static final double PASSAGE = -2.6;
  private static final Joinery.Hole DOOR = new Joinery.Hole(0.95, 0, 1.95, 2.12);
  private static final Joinery.Hole[] WINDOWS = {
    new Joinery.Hole(-5.7, 0.75, -4.5, 2.30), new Joinery.Hole(-3.2, 0.75, -2.0, 2.30)
  };

  private static final Material WALL_END = Materials.plaster(0.78, 0.775, 0.76);
  private static final Material WALL_LEFT = Materials.plaster(0.78, 0.775, 0.76);
  private static final Material WALL_RIGHT = Materials.plaster(0.78, 0.775, 0.76);
  private static final Material CEILING = Materials.plaster(0.83, 0.825, 0.81);
  private static final Material PASSAGE_WALL = Materials.plaster(0.76, 0.755, 0.74);
  private static final Material TABLE = Materials.wood(0.16, 0.075, 0.034, 2, 0.05, 0.09);
  private static final Material ELM = Materials.wood(0.30, 0.17, 0.08, 1, 0.04, 0.25);
  private static final Material OAK = Materials.wood(0.40, 0.235, 0.11, 0, 0.04, 0.3);
  private static final Material OAK_UPRIGHT = Materials.wood(0.40, 0.235, 0.11, 1, 0.04, 0.3);
  private static final Material BULB = Materials.lit(60, 0);
  private static final double SOFT_BOX_GLOW = 6;
  private static final Material SOFT_BOX = Materials.diffuser(SOFT_BOX_GLOW, 2);
  private static final double[] PENDANTS = {2.35, 3.65, 4.95};
  private static final double TABLE_X = 0.05;
  private static final double TABLE_Z = 4.15;
  private static final double PENDANT_Y = 1.68;

  private LongTableRoom() {}

  /** Builds the room. */
  public static Scene scene() {
    Outdoors heath =
        new Turned(
            new Backdrop(
                new Heath(-0.9f, 0.0002f), -7.05f, 1.42f, 0.62f, 0.2f, 2.2f, -0.5f, 0.9f, 700));
    Mesh m = new Mesh();
    shell(m);
    passage(m);
    table(m.at(TABLE_X, 0, TABLE_Z, 0));
    for (double z : PENDANTS) {
      pendant(m.at(TABLE_X, PENDANT_Y, z, 0));
    }
    dresser(m.at(RIGHT - 0.02, 0, 2.0, -90));
    sideboard(m.at(RIGHT - 0.02, 0, 4.55, -90));
    m.box(0.6, 2.6, 2.45, 1.2, 2.61, 3.05, SOFT_BOX);
    walls(m);
    float[] warm = Tint.planck(2600);
    Scene.Lighting lighting =
        new Scene.Lighting(
            List.of("daylight", "pendants", "tube", "flash-left", "flash-right"),
            lights(heath, warm),
            new Scene.Glow(1, warm),
            new Scene.Glow(2, Tint.tube()),
            new Scene.Glow(4, Tint.daylight(5500)));
    return Scene.room(
            "long-table-room",
            m,
            lighting,
            heath,
            new Scene.Eye(Vec.of(0.38, 1.2, 7.05), -6, -8, 70))
        .part("wall-end", WALL_END)
        .part("wall-left", WALL_LEFT)
        .part("wall-right", WALL_RIGHT)
        .part("wall-passage", PASSAGE_WALL)
        .part("ceiling", CEILING)
        .part("table", TABLE)
        .part("lamps", BULB);
  }

  private static List<Light> lights(Outdoors heath, float[] warm) {
    float[] flash = Tint.daylight(5500);
    List<Light> lights = new ArrayList<>();
    for (Joinery.Hole w : WINDOWS) {
      lights.add(
          Panel.opening(
              0,
              Vec.of(LEFT - 0.29, w.y0(), -w.x0()),
              Vec.of(0, 0, w.x0() - w.x1()),
              Vec.of(0, w.y1() - w.y0(), 0),
              heath));
    }
    for (double z : PENDANTS) {
      lights.add(new Bulb(1, Vec.of(TABLE_X, PENDANT_Y - 0.03, z), 0.034f, warm, 0.75f));
    }
    lights.add(
        Panel.lit(
            2,
            Vec.of(1.42, HIGH - 0.42, -2.1),
            Vec.of(0.09, 0, 0),
            Vec.of(0, 0, 1.3),
            Tint.tube(),
            9.0));
    lights.add(
        new Disc(3, Vec.of(-1.5, 1.9, 6.9), Vec.of(-0.30, 0.75, -0.55).unit(), 0.16f, flash, 60f));
    lights.add(
        Panel.lit(
            4,
            Vec.of(0.6, 2.597, 2.45),
            Vec.of(0.6, 0, 0),
            Vec.of(0, 0, 0.6),
            flash,
            SOFT_BOX_GLOW));
    return lights;
  }

  private static void shell(Mesh m) {
    m.box(LEFT - 0.3, -0.1, PASSAGE, RIGHT, 0, BACK, Materials.boards());
    m.box(LEFT - 0.3, HIGH, -0.2, RIGHT + 0.1, HIGH + 0.1, BACK + 0.1, CEILING);
    Joinery.wall(m, LEFT, RIGHT, HIGH, 0.12, WALL_END, DOOR);
    Joinery.casing(m, DOOR, Joinery.WHITE);
    Joinery.skirting(m, LEFT, DOOR.x0() - 0.085, Joinery.WHITE);
    Joinery.skirting(m, DOOR.x1() + 0.085, RIGHT, Joinery.WHITE);
    Joinery.cornice(m, LEFT, RIGHT, HIGH, CEILING);
    Mesh left = m.at(LEFT, 0, 0, 90);
    Joinery.wall(left, -BACK, 0, HIGH, 0.3, WALL_LEFT, WINDOWS);
    Joinery.skirting(left, -BACK, 0, Joinery.WHITE);
    Joinery.cornice(left, -BACK, 0, HIGH, CEILING);
    Material linen = Textiles.cloth(0.50, 0.46, 0.36, 600);
    for (Joinery.Hole w : WINDOWS) {
      Joinery.sashes(left, w, 3, 4, 0.17, Joinery.WHITE);
      left.rod(
          new double[] {w.x0() - 0.3, 2.42, 0.07},
          new double[] {w.x1() + 0.3, 2.42, 0.07},
          0.012,
          16,
          Furniture.IRON);
      Furniture.curtain(left.at(w.x0() - 0.28, 2.41, 0.07, 0), 0.30, 2.36, 4, linen);
      Furniture.curtain(left.at(w.x1() - 0.02, 2.41, 0.07, 0), 0.30, 2.36, 4, linen);
    }
    Mesh right = m.at(RIGHT, 0, 0, -90);
    Joinery.wall(right, 0, BACK, HIGH, 0.1, WALL_RIGHT);
    Joinery.skirting(right, 0, BACK, Joinery.WHITE);
    Joinery.cornice(right, 0, BACK, HIGH, CEILING);
    m.box(LEFT, -0.1, BACK, RIGHT, HIGH, BACK + 0.1, WALL_RIGHT);
  }

  /** The passage behind the door, its tube over the head of the door. */
  private static void passage(Mesh m) {
    m.box(0.55, HIGH - 0.32, PASSAGE, RIGHT, HIGH, -0.12, PASSAGE_WALL);
    m.box(0.45, -0.1, PASSAGE, 0.55, HIGH, -0.12, PASSAGE_WALL);
    m.box(RIGHT - 0.05, -0.1, PASSAGE, RIGHT + 0.05, HIGH, -0.12, PASSAGE_WALL);
    Mesh end = m.at(0, 0, PASSAGE, 0);
    Joinery.wall(end, 0.45, RIGHT, HIGH, 0.1, PASSAGE_WALL);
    Joinery.skirting(end, 0.55, RIGHT - 0.05, Joinery.WHITE);
    Furniture.framed(end.at(1.05, 1.15, 0, 0), 0.5, 0.66, Materials.chart(21, false), OAK);
    for (int i = 0; i < 4; i++) {
      double x = 1.72 + 0.11 * i;
      end.rod(new double[] {x, 1.62, 0}, new double[] {x, 1.6, 0.07}, 0.008, 10, Furniture.IRON);
    }
    end.at(1.83, 0.85, 0.05, 0)
        .sheet(
            (u, v) ->
                new double[] {
                  0.16 * (u - 0.5) * (1 + 0.5 * v) + 0.02 * Math.sin(9 * v),
                  0.76 * (1 - v),
                  0.03 + 0.035 * Math.sin(u * 19 + v) * v
                },
            30,
            16,
            Textiles.cloth(0.10, 0.14, 0.11, 400));
    m.box(1.40, HIGH - 0.42, -2.15, 1.53, HIGH - 0.32, -0.75, 0.01, Joinery.WHITE);
  }

  private static void table(Mesh m) {
    double len = 2.2;
    m.box(-0.5, 0.715, -len, 0.5, 0.755, len, 0.012, TABLE);
    m.box(-0.43, 0.62, -len + 0.08, 0.43, 0.715, len - 0.08, 0.004, TABLE);
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        m.at(sx * 0.40, 0, sz * (len - 0.14), 0)
            .lathe(
                new double[] {
                  0, 0, 0.032, 0, 0.042, 0.04, 0.028, 0.10, 0.046, 0.38, 0.034, 0.52, 0.05, 0.56,
                  0.05, 0.63, 0, 0.63
                },
                28,
                TABLE);
      }
    }
    Material rush = Textiles.cloth(0.42, 0.30, 0.14, 220);
    double[] turns = {4, -7, 3, -3};
    for (int i = 0; i < 4; i++) {
      double z = -1.25 + 0.83 * i;
      Furniture.chair(m.at(0.66 + 0.03 * (i % 2), 0, z, 90 + turns[i]), ELM, rush);
      Furniture.chair(m.at(-0.66 - 0.04 * (i % 2), 0, z, -90 - turns[3 - i]), ELM, rush);
    }
    Furniture.chair(m.at(0.02, 0, -len - 0.22, 183), ELM, rush);
    // a bowl of apples, two candlesticks, places laid at the near end
    Mesh top = m.at(0, 0.755, 0, 0);
    Furniture.bowl(top.at(0.05, 0, -0.35, 0), Materials.paint(0.10, 0.19, 0.24, 0.05, 0.1));
    double[][] apples = {{-0.06, 0.02}, {0.05, -0.05}, {0.055, 0.06}, {-0.03, -0.08}, {0, 0}};
    for (int i = 0; i < apples.length; i++) {
      top.ball(
          0.05 + apples[i][0],
          i == 4 ? 0.15 : 0.085,
          -0.35 + apples[i][1],
          0.043,
          0.92,
          i % 2 == 0
              ? Materials.paint(0.42, 0.075, 0.04, 0.04, 0.25)
              : Materials.paint(0.36, 0.33, 0.06, 0.04, 0.25));
    }
    for (double z : new double[] {-0.85, 0.25}) {
      top.at(-0.04, 0, z, 0)
          .lathe(
              new double[] {
                0, 0, 0.055, 0, 0.055, 0.01, 0.02, 0.03, 0.012, 0.09, 0.022, 0.12, 0.011, 0.19,
                0.024, 0.20, 0.024, 0.21, 0, 0.21
              },
              32,
              Furniture.BRASS);
      top.rod(
          new double[] {-0.04, 0.2, z},
          new double[] {-0.04, 0.40, z},
          0.0105,
          16,
          Materials.paint(0.82, 0.78, 0.66, 0.03, 0.4));
    }
    Material plate = Materials.paint(0.76, 0.76, 0.73, 0.05, 0.08);
    Material napkin = Textiles.cloth(0.55, 0.30, 0.16, 500);
    for (int i = 0; i < 2; i++) {
      for (int s = -1; s <= 1; s += 2) {
        double z = 0.42 + 0.83 * i;
        plate(top.at(s * 0.30, 0, z, 0), plate);
        top.at(s * 0.30 + 0.0, 0.012, z, 20 * s)
            .box(-0.05, 0.004, -0.08, 0.05, 0.016, 0.08, napkin);
      }
    }
  }

  private static void plate(Mesh m, Material of) {
    m.lathe(
        new double[] {0, 0, 0.08, 0, 0.135, 0.018, 0.132, 0.021, 0.085, 0.006, 0, 0.006}, 48, of);
  }

  /** An enamelled shade on a flex, white inside. */
  private static void pendant(Mesh m) {
    Material enamel = Materials.paint(0.035, 0.075, 0.06, 0.05, 0.12);
    m.lathe(
        new double[] {
          0.19, -0.065, 0.192, -0.06, 0.17, 0.0, 0.12, 0.06, 0.05, 0.09, 0.035, 0.13, 0.03, 0.16, 0,
          0.16
        },
        56,
        enamel);
    m.lathe(
        new double[] {0.187, -0.063, 0.166, -0.003, 0.115, 0.055, 0.045, 0.08, 0, 0.085},
        56,
        Materials.paint(0.85, 0.85, 0.82, 0.04, 0.2));
    m.ball(0, -0.03, 0, 0.032, 1.15, BULB);
    m.rod(
        new double[] {0, 0.15, 0}, new double[] {0, HIGH - PENDANT_Y, 0}, 0.004, 8, Furniture.IRON);
    m.at(0, HIGH - PENDANT_Y - 0.03, 0, 0)
        .lathe(new double[] {0, 0, 0.035, 0.0, 0.05, 0.03, 0, 0.03}, 24, Joinery.WHITE);
  }

  /** Open shelves with pottery over a cupboard; its back to z = 0. */
  private static void dresser(Mesh m) {
    double w = 1.5;
    m.box(0, 0.06, 0, w, 0.86, 0.44, 0.004, OAK);
    m.box(-0.02, 0.86, 0, w + 0.02, 0.895, 0.47, 0.01, OAK);
    for (int i = 0; i < 3; i++) {
      double x = 0.04 + i * 0.48;
      m.box(x, 0.12, 0.438, x + 0.44, 0.62, 0.452, 0.008, OAK_UPRIGHT);
      m.box(x, 0.66, 0.438, x + 0.44, 0.82, 0.452, 0.008, OAK);
      m.ball(x + 0.22, 0.74, 0.465, 0.013, 1, Furniture.BRASS);
      m.ball(x + 0.40, 0.38, 0.465, 0.013, 1, Furniture.BRASS);
    }
    m.box(0.02, 0.895, 0, 0.045, 2.05, 0.24, 0.003, OAK_UPRIGHT);
    m.box(w - 0.045, 0.895, 0, w - 0.02, 2.05, 0.24, 0.003, OAK_UPRIGHT);
    m.box(0.02, 0.895, 0, w - 0.02, 2.05, 0.012, OAK_UPRIGHT);
    m.box(-0.02, 2.05, 0, w + 0.02, 2.09, 0.28, 0.01, OAK);
    Material blue = Materials.paint(0.055, 0.11, 0.26, 0.05, 0.08);
    Material white = Materials.paint(0.74, 0.74, 0.71, 0.05, 0.08);
    for (int row = 0; row < 3; row++) {
      double y = 1.22 + 0.29 * row;
      if (row < 3) {
        m.box(0.045, y - 0.024, 0, w - 0.045, y, 0.22, 0.003, OAK);
      }
      for (int i = 0; i < 6; i++) {
        double x = 0.16 + i * 0.235;
        Mesh stand = m.at(x, y, 0.075, 0);
        // plates lean against the back
        stand.sheet(
            (u, v) -> {
              double a = 2 * Math.PI * u;
              double r = 0.105 * v;
              double lift = 0.016 * v * v;
              return new double[] {
                r * Math.cos(a), 0.108 + r * Math.sin(a) * 0.97, lift - 0.24 * r * Math.sin(a)
              };
            },
            36,
            8,
            (i + row) % 3 == 1 ? rimmed(white, blue) : (i + row) % 3 == 0 ? blue : white);
      }
    }
    for (int i = 0; i < 5; i++) {
      Furniture.mug(m.at(0.18 + 0.28 * i, 0.895, 0.30, 40 * i), i % 2 == 0 ? white : blue);
    }
  }

  private static Material rimmed(Material in, Material rim) {
    return p -> {
      float ring = illuminar.scenes.material.Noise.value(p.y * 31, p.z * 31, 3);
      (ring > 0.55f ? rim : in).shade(p);
    };
  }

  private static void sideboard(Mesh m) {
    double w = 1.55;
    m.box(0, 0.12, 0, w, 0.84, 0.42, 0.006, TABLE);
    m.box(-0.02, 0.84, 0, w + 0.02, 0.87, 0.45, 0.01, TABLE);
    for (int i = 0; i < 2; i++) {
      m.box(0.05 + i * 0.75, 0.18, 0.418, 0.75 + i * 0.75, 0.78, 0.434, 0.01, TABLE);
      m.ball(0.68 + i * 0.19, 0.5, 0.446, 0.014, 1, Furniture.BRASS);
    }
    for (double x : new double[] {0.05, w - 0.05}) {
      for (double z : new double[] {0.05, 0.37}) {
        m.rod(new double[] {x, 0, z}, new double[] {x, 0.13, z}, 0.022, 16, TABLE);
      }
    }
    Furniture.plant(m.at(0.3, 0.87, 0.2, 0), 0.85, 24, 17);
    Instruments.barograph(m.at(1.05, 0.87, 0.2, 8), OAK);
  }

  private static void walls(Mesh m) {
    Furniture.framed(m.at(-1.55, 1.08, 0, 0), 0.86, 1.08, Materials.chart(31, false), OAK);
    Furniture.framed(m.at(-0.42, 1.22, 0, 0), 0.62, 0.80, Materials.chart(37, false), OAK);
    Joinery.lightSwitch(m.at(0.72, 1.22, 0, 0));
    Joinery.socket(m.at(-0.4, 0.28, 0, 0));
    Mesh right = m.at(RIGHT, 0, 0, -90);
    Furniture.framed(right.at(4.75, 1.32, 0, 0), 0.56, 0.70, Materials.chart(41, true), OAK);
    Furniture.framed(right.at(5.45, 1.38, 0, 0), 0.46, 0.58, Materials.chart(43, true), OAK);
    m.box(
        -1.75,
        0,
        1.5,
        1.45,
        0.012,
        5.9,
        0.004,
        Textiles.rug(-0.15, 3.7, 1.6, 2.2, Textiles.blue()));
  }
}
