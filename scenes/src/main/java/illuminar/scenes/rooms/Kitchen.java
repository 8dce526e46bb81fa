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
import illuminar.scenes.material.Tiles;
import illuminar.scenes.outdoors.Layered;
import illuminar.scenes.outdoors.PlainSky;
import illuminar.scenes.render.Scene;
import java.util.ArrayList;
import java.util.List;

/**
 * The Kitchen: a small window over the sink with herbs, a reading lamp and a tap before it, a
 * glazed garden door half behind sheer cloth, spots in the ceiling, two pendants over a table, a
 * cold strip of light under the wall cupboards, glossy tiles, steel, and a larder with a tube of
 * its own. The end wall is z = 0, the camera looks towards −z.
 */
public final class Kitchen {
  private static final double LEFT = -1.95;
  private static final double RIGHT = 1.95;
  private static final double BACK = 5.0;
  private static final double HIGH = 2.55;
  private static final double LARDER = -1.7;
  private static final Joinery.Hole WINDOW = new Joinery.Hole(-1.2, 1.12, 0.0, 2.12);
  private static final Joinery.Hole LARDER_DOOR = new Joinery.Hole(0.42, 0, 1.14, 2.05);
  private static final Joinery.Hole GARDEN_DOOR = new Joinery.Hole(1.25, 0.02, 2.35, 2.12);

  private static final Material WALL = Materials.plaster(0.79, 0.785, 0.765);
  private static final Material CEILING = Materials.plaster(0.83, 0.825, 0.81);
  private static final Material LARDER_WALL = Materials.plaster(0.74, 0.74, 0.72);
  private static final Material TILES = Tiles.glazed(0.152, 0.70, 0.725, 0.70);
  private static final Material BEECH = Materials.wood(0.52, 0.36, 0.21, 2, 0.04, 0.3);
  private static final Material BARS = Joinery.white();
  private static final Material LEAF = Materials.leaf();
  private static final Material SHEER = Textiles.sheer(0.76, 0.75, 0.71, 0.42);
  private static final Material LAMP = Materials.paint(0.22, 0.045, 0.035, 0.05, 0.2);
  private static final Material BULB = Materials.lit(30, 0);
  private static final Material STRIP = Materials.diffuser(2.2, 1);
  private static final double TABLE_X = 0.35;
  private static final double TABLE_Z = 2.75;
  private static final double PENDANT_Y = 1.62;
  private static final double SPOT = 0.042;

  private Kitchen() {}

  /** Builds the room. */
  public static Scene scene() {
    Layered garden = garden();
    Mesh m = new Mesh();
    Mesh sheers = new Mesh();
    shell(m);
    larder(m);
    windows(m, sheers);
    cupboards(m);
    Fitments.sink(m.at(-0.62, 0, 0, 0));
    Fitments.cooker(m.at(LEFT, 0, 2.1, 90), HIGH);
    Fitments.fridge(m.at(RIGHT, 0, 0.42, -90));
    table(m.at(TABLE_X, 0, TABLE_Z, 90));
    Material enamel = Materials.paint(0.42, 0.33, 0.16, 0.05, 0.15);
    List<Light> lights = lights(m, garden);
    for (double z : new double[] {TABLE_Z - 0.45, TABLE_Z + 0.45}) {
      Pieces.pendant(m.at(TABLE_X, PENDANT_Y, z, 0), HIGH - PENDANT_Y, enamel, BULB);
      lights.add(
          new Bulb(1, Vec.of(TABLE_X, PENDANT_Y - 0.03, z), 0.036f, Tint.planck(2700), 0.075f));
    }
    return Scene.room(
            "kitchen",
            m,
            new Scene.Lighting(
                List.of("daylight", "lamps", "strip", "tube", "flash"),
                lights,
                new Scene.Glow(1, Tint.planck(2700)),
                new Scene.Glow(2, Tint.planck(4300)),
                new Scene.Glow(3, Tint.tube())),
            garden,
            new Scene.Eye(Vec.of(-0.35, 1.32, 4.75), 6, -6, 72))
        .veil(sheers)
        .part("walls", WALL, CEILING)
        .part("tiles", TILES)
        .part("bars", BARS)
        .part("plant", LEAF)
        .part("desk-lamp", LAMP)
        .part("curtain", SHEER)
        .part("lamps", BULB);
  }

  private static Layered garden() {
    return new Layered(
        List.of(
            new Layered.Layer(Layered.Kind.HEDGE, 13f, 1.7f, 31),
            new Layered.Layer(Layered.Kind.TREES, 27f, 7.5f, 57),
            new Layered.Layer(Layered.Kind.HOUSES, 48f, 8f, 12),
            new Layered.Layer(Layered.Kind.HILLS, 1500f, 120f, 5)),
        PlainSky.noon(),
        -0.3f,
        9f,
        0.0001f);
  }

  private static List<Light> lights(Mesh m, Layered garden) {
    float[] warm = Tint.planck(2700);
    List<Light> lights = new ArrayList<>();
    lights.add(
        Panel.opening(
            0,
            Vec.of(WINDOW.x0(), WINDOW.y0(), -0.26),
            Vec.of(WINDOW.wide(), 0, 0),
            Vec.of(0, WINDOW.high(), 0),
            garden));
    lights.add(
        Panel.opening(
            0,
            Vec.of(RIGHT + 0.26, GARDEN_DOOR.y0(), GARDEN_DOOR.x0()),
            Vec.of(0, 0, GARDEN_DOOR.wide()),
            Vec.of(0, GARDEN_DOOR.high(), 0),
            garden));
    for (int i = 0; i < 6; i++) {
      double x = (i % 2 == 0 ? -0.95 : 0.95);
      double z = 0.9 + 1.35 * (i / 2);
      m.at(x, HIGH - 0.004, z, 0)
          .lathe(new double[] {SPOT + 0.014, 0.004, SPOT + 0.014, 0, SPOT, 0}, 32, Fitments.STEEL);
      m.at(x, HIGH - 0.002, z, 0).lathe(new double[] {SPOT, 0, 0, 0.001}, 32, BULB);
      lights.add(new Disc(1, Vec.of(x, HIGH - 0.01, z), Vec.of(0, -1, 0), (float) SPOT, warm, 12f));
    }
    lights.add(
        Panel.lit(
            2,
            Vec.of(LEFT + 0.04, 1.438, 0.3),
            Vec.of(0.05, 0, 0),
            Vec.of(0, 0, 1.7),
            Tint.planck(4300),
            2.2));
    m.box(LEFT + 0.04, 1.44, 0.3, LEFT + 0.09, 1.455, 2.0, STRIP);
    lights.add(
        Panel.lit(
            3,
            Vec.of(0.76, HIGH - 0.21, -1.3),
            Vec.of(0.06, 0, 0),
            Vec.of(0, 0, 0.9),
            Tint.tube(),
            7.5));
    lights.add(
        new Disc(
            4,
            Vec.of(-0.9, 2.0, 4.7),
            Vec.of(-0.1, 0.8, -0.5).unit(),
            0.18f,
            Tint.daylight(5500),
            55f));
    return lights;
  }

  private static void shell(Mesh m) {
    m.box(LEFT - 0.4, -0.1, LARDER, RIGHT + 0.4, 0, BACK + 0.3, Tiles.flags(0.4, 0.36, 0.34, 0.30));
    m.box(LEFT - 0.4, HIGH, LARDER, RIGHT + 0.4, HIGH + 0.1, BACK + 0.3, CEILING);
    Joinery.wall(m, LEFT, RIGHT, HIGH, 0.26, WALL, WINDOW, LARDER_DOOR);
    Joinery.casing(m, LARDER_DOOR, Joinery.WHITE);
    Joinery.wall(m.at(LEFT, 0, 0, 90), -BACK, 0.26, HIGH, 0.2, WALL);
    Mesh right = m.at(RIGHT, 0, 0, -90);
    Joinery.wall(right, 0, BACK, HIGH, 0.26, WALL, GARDEN_DOOR);
    Joinery.casing(right, GARDEN_DOOR, Joinery.WHITE);
    Joinery.skirting(right, GARDEN_DOOR.x1() + 0.085, BACK, Joinery.WHITE);
    m.box(LEFT, -0.1, BACK, RIGHT, HIGH, BACK + 0.2, WALL);
    for (int s = -1; s <= 1; s += 2) {
      m.box(s * RIGHT, -0.1, -0.4, s * (RIGHT + 0.4), HIGH, 0, WALL);
    }
    m.box(LEFT, Fitments.TOP, 0, 0.17, WINDOW.y0() - 0.04, 0.008, TILES);
    m.box(LEFT, Fitments.TOP, 0, LEFT + 0.008, 1.46, 3.1, TILES);
    Joinery.lightSwitch(m.at(0.28, 1.2, 0, 0));
    Furniture.framed(right.at(2.75, 1.25, 0.004, 0), 0.5, 0.66, Materials.chart(63, true), BEECH);
  }

  /** The larder behind the end wall, with shelves and a tube of its own. */
  private static void larder(Mesh m) {
    double x0 = 0.3;
    m.box(x0 - 0.1, -0.1, LARDER, x0, HIGH, -0.26, LARDER_WALL);
    m.box(RIGHT, -0.1, LARDER, RIGHT + 0.1, HIGH, -0.26, LARDER_WALL);
    m.box(x0, -0.1, LARDER - 0.1, RIGHT, HIGH, LARDER, LARDER_WALL);
    m.box(0.75, HIGH - 0.20, -1.32, 0.83, HIGH, -0.38, 0.01, Joinery.WHITE);
    m.box(0.76, HIGH - 0.206, -1.3, 0.82, HIGH - 0.2, -0.4, Materials.lit(7.5, 2));
    Material[] jars = {
      Materials.paint(0.36, 0.16, 0.05, 0.05, 0.08),
      Materials.paint(0.55, 0.50, 0.36, 0.05, 0.08),
      Materials.paint(0.16, 0.20, 0.06, 0.05, 0.08),
      Materials.paint(0.30, 0.05, 0.045, 0.05, 0.08)
    };
    for (int row = 0; row < 4; row++) {
      double y = 0.45 + 0.42 * row;
      m.box(x0, y - 0.025, LARDER, RIGHT, y, LARDER + 0.3, 0.004, BEECH);
      for (int i = 0; i < 11; i++) {
        double high = 0.13 + 0.05 * ((i * 7 + row * 3) % 4) / 3.0;
        Mesh jar = m.at(0.4 + 0.14 * i, y, LARDER + 0.16, 0);
        jar.lathe(
            new double[] {0, 0, 0.05, 0, 0.052, 0.01, 0.052, high - 0.03, 0.042, high, 0, high},
            28,
            jars[(i + row) % 4]);
      }
    }
  }

  private static void windows(Mesh m, Mesh sheers) {
    Joinery.sashes(m, WINDOW, 2, 2, 0.10, BARS);
    Joinery.casing(m, WINDOW, Joinery.WHITE);
    double[] sizes = {0.5, 0.62, 0.44};
    for (int i = 0; i < sizes.length; i++) {
      Furniture.plant(
          m.at(WINDOW.x0() + 0.16 + 0.24 * i, WINDOW.y0(), -0.02, 0), sizes[i], 18, 71 + i, LEAF);
    }
    // slats drawn half up
    Material slat = Materials.paint(0.74, 0.73, 0.69, 0.04, 0.3);
    for (int i = 0; i < 9; i++) {
      double y = WINDOW.y1() - 0.03 - 0.032 * i;
      m.box(WINDOW.x0() + 0.02, y, -0.075, WINDOW.x1() - 0.02, y + 0.003, -0.05, slat);
    }
    Mesh right = m.at(RIGHT, 0, 0, -90);
    Joinery.sashes(right, GARDEN_DOOR, 2, 3, 0.10, BARS);
    right.rod(
        new double[] {GARDEN_DOOR.x0() - 0.2, 2.24, 0.08},
        new double[] {GARDEN_DOOR.x1() + 0.2, 2.24, 0.08},
        0.01,
        16,
        Furniture.IRON);
    Furniture.curtain(
        sheers.at(RIGHT, 0, 0, -90).at(GARDEN_DOOR.x0() - 0.15, 2.23, 0.08, 0),
        0.68,
        2.2,
        7,
        SHEER);
    right.rod(
        new double[] {GARDEN_DOOR.x1() - 0.03, 1.0, -0.08},
        new double[] {GARDEN_DOOR.x1() - 0.03, 1.0, -0.02},
        0.009,
        16,
        Furniture.BRASS);
    right.rod(
        new double[] {GARDEN_DOOR.x1() - 0.03, 1.0, -0.02},
        new double[] {GARDEN_DOOR.x1() - 0.14, 1.0, -0.02},
        0.009,
        16,
        Furniture.BRASS);
  }

  private static void cupboards(Mesh m) {
    Mesh left = m.at(LEFT, 0, 0, 90);
    // x of this wall's meshes runs towards the camera with the minus sign of z
    Fitments.row(left.at(-3.1, 0, 0, 0), 1, 0.40, 0.1, Fitments.TOP - 0.04, Fitments.DEEP - 0.02);
    Fitments.row(left.at(-2.1, 0, 0, 0), 4, 0.525, 0.1, Fitments.TOP - 0.04, Fitments.DEEP - 0.02);
    Fitments.row(left.at(-3.1, 0, 0, 0), 1, 0.40, 1.46, 2.2, 0.34);
    Fitments.row(left.at(-2.1, 0, 0, 0), 4, 0.525, 1.46, 2.2, 0.34);
    left.box(-3.1, 0, 0, 0, 0.1, Fitments.DEEP - 0.08, Furniture.IRON);
    left.box(
        -3.12, Fitments.TOP - 0.04, 0, -2.7, Fitments.TOP, Fitments.DEEP, 0.004, Fitments.STONE);
    left.box(-2.1, Fitments.TOP - 0.04, 0, 0, Fitments.TOP, Fitments.DEEP, 0.004, Fitments.STONE);
    Mesh end = m.at(LEFT + Fitments.DEEP, 0, 0, 0);
    Fitments.row(end, 3, 0.5, 0.1, Fitments.TOP - 0.04, Fitments.DEEP - 0.02);
    end.box(0, 0, 0, 1.5, 0.1, Fitments.DEEP - 0.08, Furniture.IRON);
    m.box(LEFT, Fitments.TOP - 0.04, 0, 0.18, Fitments.TOP, Fitments.DEEP, 0.004, Fitments.STONE);
    // what stands on the worktop
    Pieces.readingLamp(m.at(-0.12, Fitments.TOP, 0.24, 150), LAMP);
    Material white = Materials.paint(0.74, 0.74, 0.71, 0.05, 0.08);
    Material blue = Materials.paint(0.055, 0.11, 0.26, 0.05, 0.08);
    for (int i = 0; i < 4; i++) {
      Furniture.mug(
          left.at(-1.25 + 0.13 * i, Fitments.TOP, 0.24, 35 * i), i % 2 == 0 ? white : blue);
    }
    m.box(LEFT + 0.03, Fitments.TOP, 0.55, LEFT + 0.06, Fitments.TOP + 0.34, 0.80, 0.006, BEECH);
    m.box(LEFT + 0.09, Fitments.TOP, 0.62, LEFT + 0.11, Fitments.TOP + 0.28, 0.84, 0.006, BEECH);
  }

  private static void table(Mesh m) {
    Pieces.table(m, 1.5, 0.78, 0.75, Materials.wood(0.52, 0.36, 0.21, 0, 0.05, 0.16));
    Material seat = Textiles.cloth(0.46, 0.42, 0.33, 260);
    for (int s = -1; s <= 1; s += 2) {
      Furniture.chair(m.at(s * 0.36, 0, 0.60, 4 * s), BEECH, seat);
      Furniture.chair(m.at(s * 0.36, 0, -0.62, 180 - 5 * s), BEECH, seat);
    }
    Mesh bowl = m.at(0.05, 0.75, 0, 0);
    Furniture.bowl(bowl, Materials.paint(0.60, 0.59, 0.55, 0.05, 0.08));
    double[][] lemons = {{-0.06, 0.02}, {0.05, -0.05}, {0.055, 0.06}, {-0.02, -0.07}, {0, 0.01}};
    for (int i = 0; i < lemons.length; i++) {
      bowl.ball(
          lemons[i][0],
          i == 4 ? 0.145 : 0.085,
          lemons[i][1],
          0.038,
          0.85,
          Materials.paint(0.62, 0.45, 0.03, 0.04, 0.3));
    }
  }
}
