package illuminar.scenes.invented;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Disc;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Panel;
import illuminar.scenes.light.Sun;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.outdoors.Layered;
import illuminar.scenes.render.Scene;
import illuminar.scenes.rooms.Furniture;
import illuminar.scenes.rooms.Joinery;
import illuminar.scenes.rooms.Pieces;
import java.util.ArrayList;
import java.util.List;

/**
 * A room made of parts that chance has thrown: size, colours, windows and what stands before them,
 * the world outside, lamps, furniture. The end wall is z = 0 and the camera looks towards it.
 */
final class InventedRoom {
  private final Dice dice;
  private final Weather weather;
  private final double half;
  private final double deep;
  private final double high;
  private final Material wall;
  private final Material ceiling;
  private final Material bars = Joinery.white();
  private final BeforeWindows before;
  private final Material wood;
  private final boolean white;
  private final Mesh m = new Mesh();
  private final List<Opening> openings = new ArrayList<>();
  private final List<Light> lights = new ArrayList<>();
  private final Lamps lamps;

  InventedRoom(Dice dice) {
    this.dice = dice;
    weather = Weather.thrown(dice);
    half = dice.between(1.7, 3.2);
    deep = dice.between(4.2, 7.5);
    high = dice.between(2.4, 3.1);
    white = dice.chance(0.7);
    double tone = dice.between(0.68, 0.82);
    wall =
        white
            ? Materials.plaster(tone, tone * dice.between(0.975, 1), tone * dice.between(0.9, 0.99))
            : dice.pick(
                List.of(
                    Materials.plaster(0.42, 0.47, 0.44),
                    Materials.plaster(0.55, 0.46, 0.36),
                    Materials.plaster(0.20, 0.25, 0.32),
                    Materials.plaster(0.52, 0.30, 0.24)));
    ceiling = Materials.plaster(0.83, 0.825, 0.81);
    before = new BeforeWindows(dice);
    wood =
        dice.pick(
            List.of(
                Materials.wood(0.40, 0.235, 0.11, 0, 0.04, 0.25),
                Materials.wood(0.16, 0.075, 0.034, 0, 0.05, 0.12),
                Materials.wood(0.55, 0.42, 0.28, 0, 0.03, 0.4)));
    lamps = new Lamps(dice, m, high);
  }

  /** Whether the walls are meant to come out white. */
  boolean white() {
    return white;
  }

  Scene scene() {
    double eyeX = dice.between(-half * 0.45, half * 0.45);
    Vec eye = Vec.of(eyeX, dice.between(1.15, 1.55), deep - 0.3);
    double yaw = windows(eyeX);
    Layered outside =
        weather.outside(dice, dice.chance(0.6) ? -0.3 : -dice.between(2.8, 6), deep + 1);
    shell();
    for (Opening o : openings) {
      glaze(o, outside);
      before.stand(o, on(m, o.wall()), wood);
      before.hang(o, on(m, o.wall()), on(before.sheers(), o.wall()));
    }
    furnish(eyeX);
    if (weather.sun()) {
      Vec sun = Vec.of(dice.between(-1, 1), dice.between(0.5, 1.4), -dice.between(0.2, 1)).unit();
      lights.add(new Sun(0, sun, Tint.daylight(5300), (float) dice.between(18, 28)));
    }
    lamps.hang(half, deep);
    lights.addAll(lamps.lights());
    lights.add(
        new Disc(
            2,
            Vec.of(eyeX + dice.between(-0.6, 0.6), high - 0.5, deep - 0.25),
            Vec.of(0, 0.86, -0.5).unit(),
            0.2f,
            Tint.daylight(5500),
            60f));
    Scene scene =
        Scene.room(
                "room",
                m,
                new Scene.Lighting(
                    List.of("daylight", "lamps", "flash"),
                    lights,
                    new Scene.Glow(1, lamps.colour())),
                outside,
                new Scene.Eye(eye, yaw, dice.between(-5, 2), dice.between(66, 84)))
            .part("walls", wall, ceiling)
            .part("bars", bars)
            .part("plant", before.leaf())
            .part("desk-lamp", before.lamp())
            .part("curtain", before.cloth())
            .part("lamps", lamps.cloth(), lamps.bulb());
    return before.sheers().triangles() > 0 ? scene.veil(before.sheers()) : scene;
  }

  /** Throws the windows; how far the camera turns to the right, degrees. */
  private double windows(double eyeX) {
    boolean atEnd = dice.chance(0.75);
    if (atEnd) {
      row(Opening.Wall.END, -half + 0.35, half - 0.35);
    }
    boolean side = !atEnd || dice.chance(0.35);
    boolean left = dice.chance(0.5);
    if (side) {
      if (left) {
        row(Opening.Wall.LEFT, -deep * 0.6, -0.5);
      } else {
        row(Opening.Wall.RIGHT, 0.5, deep * 0.6);
      }
    }
    double towards = Math.toDegrees(Math.atan2(-eyeX, deep));
    if (atEnd) {
      return towards + dice.between(-14, 14);
    }
    return towards + (left ? -1 : 1) * dice.between(12, 26);
  }

  /** One to three openings alike in a stretch of wall. */
  private void row(Opening.Wall in, double from, double to) {
    boolean door = dice.chance(0.25);
    double wide = dice.between(0.8, door ? 2.4 : 1.6);
    int n = Math.max(1, Math.min(dice.whole(1, 3), (int) ((to - from) / (wide + 0.35))));
    wide = Math.min(wide, to - from - 0.3);
    double y0 = door ? 0.02 : dice.between(0.35, 1.0);
    double y1 = door ? 2.15 : Math.min(high - 0.25, y0 + dice.between(1.0, 1.6));
    int across = dice.whole(1, 3);
    int down = door ? dice.whole(1, 2) : dice.whole(1, 4);
    double gap = (to - from - n * wide) / (n + 1);
    for (int i = 0; i < n; i++) {
      double x0 = from + gap * (i + 1) + wide * i;
      openings.add(new Opening(in, new Joinery.Hole(x0, y0, x0 + wide, y1), across, down));
    }
  }

  /** A mesh that is drawn into along a wall: x along it, y up, z into the room. */
  private Mesh on(Mesh mesh, Opening.Wall w) {
    return switch (w) {
      case END -> mesh;
      case LEFT -> mesh.at(-half, 0, 0, 90);
      case RIGHT -> mesh.at(half, 0, 0, -90);
    };
  }

  private Joinery.Hole[] holes(Opening.Wall w) {
    return openings.stream()
        .filter(o -> o.wall() == w)
        .map(Opening::hole)
        .toArray(Joinery.Hole[]::new);
  }

  private void shell() {
    Material floor =
        dice.pick(
            List.of(
                Materials.boards(),
                Materials.wood(0.5, 0.36, 0.22, 2, 0.045, 0.08),
                Textiles.cloth(0.42, 0.39, 0.33, 300),
                Materials.paint(0.52, 0.51, 0.48, 0.045, 0.1)));
    m.box(-half - 0.4, -0.1, -0.4, half + 0.4, 0, deep + 0.3, floor);
    m.box(-half - 0.4, high, -0.4, half + 0.4, high + 0.1, deep + 0.3, ceiling);
    Joinery.wall(m, -half, half, high, 0.28, wall, holes(Opening.Wall.END));
    Joinery.wall(on(m, Opening.Wall.LEFT), -deep, 0, high, 0.28, wall, holes(Opening.Wall.LEFT));
    Joinery.wall(on(m, Opening.Wall.RIGHT), 0, deep, high, 0.28, wall, holes(Opening.Wall.RIGHT));
    m.box(-half, -0.1, deep, half, high, deep + 0.2, wall);
    // the corners, so that no light creeps in behind the walls' ends
    for (int s = -1; s <= 1; s += 2) {
      m.box(s * half, -0.1, -0.4, s * (half + 0.4), high, 0, wall);
    }
    if (dice.chance(0.5)) {
      Joinery.cornice(m, -half, half, high, ceiling);
      Joinery.cornice(on(m, Opening.Wall.LEFT), -deep, 0, high, ceiling);
      Joinery.cornice(on(m, Opening.Wall.RIGHT), 0, deep, high, ceiling);
    }
  }

  /** Sashes, and the daylight that comes in through them. */
  private void glaze(Opening o, Layered outside) {
    Joinery.Hole h = o.hole();
    Mesh w = on(m, o.wall());
    Joinery.sashes(w, h, o.across(), o.down(), 0.10, bars);
    Joinery.casing(w, h, Joinery.white());
    double out = half + 0.26;
    Vec up = Vec.of(0, h.high(), 0);
    lights.add(
        switch (o.wall()) {
          case END ->
              Panel.opening(0, Vec.of(h.x0(), h.y0(), -0.26), Vec.of(h.wide(), 0, 0), up, outside);
          case LEFT ->
              Panel.opening(0, Vec.of(-out, h.y0(), -h.x0()), Vec.of(0, 0, -h.wide()), up, outside);
          case RIGHT ->
              Panel.opening(0, Vec.of(out, h.y0(), h.x0()), Vec.of(0, 0, h.wide()), up, outside);
        });
  }

  private void furnish(double eyeX) {
    Material cover =
        dice.pick(
            List.of(
                Textiles.cloth(0.45, 0.43, 0.40, 300),
                Textiles.cloth(0.10, 0.16, 0.22, 300),
                Textiles.cloth(0.50, 0.33, 0.16, 300)));
    double side = eyeX > 0 ? -1 : 1;
    Mesh far = m.at(side * (half - 0.05), 0, deep * 0.42, side < 0 ? 90 : -90);
    if (dice.chance(0.6)) {
      Pieces.sofa(far, dice.between(1.5, 2.0), cover);
      Pieces.table(m.at(side * (half - 1.5), 0, deep * 0.42, 90), 1.0, 0.5, 0.42, wood);
    } else {
      Mesh table = m.at(side * half * 0.25, 0, deep * 0.45, dice.between(-8, 8));
      Pieces.table(table, 1.5, 0.85, 0.75, wood);
      for (int s = -1; s <= 1; s += 2) {
        Furniture.chair(table.at(s * 0.35, 0, 0.62, 0), wood, cover);
        Furniture.chair(table.at(s * 0.35, 0, -0.62, 180), wood, cover);
      }
    }
    for (Opening.Wall w : Opening.Wall.values()) {
      if (w != Opening.Wall.END && holes(w).length == 0 && dice.chance(0.7)) {
        double x = w == Opening.Wall.LEFT ? -deep * 0.35 : deep * 0.25;
        Furniture.framed(
            on(m, w).at(x, 1.3, 0.004, 0),
            0.6,
            0.75,
            Materials.chart(dice.whole(1, 99), true),
            wood);
      }
    }
    if (holes(Opening.Wall.END).length == 0) {
      Pieces.shelves(m.at(-half + 0.3, 0, 0.02, 0), 1.2, high * 0.8, wood, dice.whole(1, 50));
      Furniture.framed(
          m.at(half - 1.3, 1.25, 0.004, 0),
          0.8,
          0.6,
          Materials.chart(dice.whole(1, 99), false),
          wood);
    }
    if (dice.chance(0.5)) {
      Furniture.plant(m.at(-side * (half - 0.4), 0, 0.5, 0), 1.3, 20, dice.whole(1, 99));
    }
    if (dice.chance(0.5)) {
      double[][] colours = dice.pick(List.of(Textiles.red(), Textiles.blue(), Textiles.pale()));
      m.box(
          -0.9,
          0,
          deep * 0.3,
          0.9,
          0.012,
          deep * 0.3 + 1.5,
          0.004,
          Textiles.rug(0, deep * 0.3 + 0.75, 0.9, 0.75, colours));
    }
  }
}
