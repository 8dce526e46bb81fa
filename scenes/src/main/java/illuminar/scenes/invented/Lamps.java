package illuminar.scenes.invented;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Bulb;
import illuminar.scenes.light.Disc;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.ShadeGlow;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.rooms.Furniture;
import illuminar.scenes.rooms.Joinery;
import illuminar.scenes.rooms.Pieces;
import java.util.ArrayList;
import java.util.List;

/** The lamps of an invented room: none, a shaded lamp, pendants, spots in the ceiling. */
final class Lamps {
  private static final double SPOT = 0.04;

  private final Dice dice;
  private final Mesh m;
  private final double high;
  private final float[] colour;
  private final double glow;
  private final double foot;
  private final Material cloth;
  private final Material bulb;
  private final List<Light> lights = new ArrayList<>();

  Lamps(Dice dice, Mesh m, double high) {
    this.dice = dice;
    this.m = m;
    this.high = high;
    colour = Tint.planck(dice.between(2500, 3300));
    glow = dice.between(0.35, 1.6);
    foot = dice.chance(0.5) ? dice.between(1.2, 1.4) : dice.between(0.8, 1.0);
    cloth = Materials.shade(foot, foot + 0.26, glow);
    bulb = Materials.lit(dice.between(15, 50), 0);
  }

  float[] colour() {
    return colour;
  }

  Material cloth() {
    return cloth;
  }

  Material bulb() {
    return bulb;
  }

  List<Light> lights() {
    return lights;
  }

  /** Puts lamps into a room of half width {@code half}. */
  void hang(double half, double deep) {
    if (dice.chance(0.6)) {
      standing(dice.chance(0.5) ? half - 0.45 : 0.45 - half, deep * dice.between(0.12, 0.3));
    }
    if (dice.chance(0.4)) {
      Material outer = Materials.paint(0.05, 0.06, 0.07, 0.05, 0.15);
      int n = dice.whole(1, 3);
      double y = high - dice.between(0.7, 1.0);
      for (int i = 0; i < n; i++) {
        double x = (i - (n - 1) / 2.0) * 0.75;
        double z = deep * 0.42;
        Pieces.pendant(m.at(x, y, z, 0), high - y, outer, bulb);
        lights.add(new Bulb(1, Vec.of(x, y - 0.03, z), 0.036f, colour, 0.07f));
      }
    } else if (dice.chance(0.5)) {
      for (int i = 0; i < 4; i++) {
        spot((i % 2 - 0.5) * half, deep * (0.25 + 0.3 * (i / 2)));
      }
    }
  }

  private void standing(double x, double z) {
    Pieces.shadeLamp(m.at(x, 0, z, 0), foot, 0.226, cloth, Furniture.BRASS);
    Vec at = Vec.of(x, foot, z);
    float g = (float) glow;
    lights.add(new ShadeGlow(1, at, 0.226f, 0.14f, 0.26f, colour, g));
    lights.add(new Bulb(1, Vec.of(x, foot + 0.12, z), 0.03f, colour, 0.07f * g));
  }

  private void spot(double x, double z) {
    m.at(x, high - 0.004, z, 0)
        .lathe(new double[] {SPOT + 0.015, 0.004, SPOT + 0.015, 0, SPOT, 0}, 32, Joinery.white());
    m.at(x, high - 0.002, z, 0).lathe(new double[] {SPOT, 0, 0, 0.001}, 32, bulb);
    lights.add(new Disc(1, Vec.of(x, high - 0.01, z), Vec.of(0, -1, 0), (float) SPOT, colour, 14f));
  }
}
