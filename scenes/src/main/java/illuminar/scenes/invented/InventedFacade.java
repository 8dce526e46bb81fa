package illuminar.scenes.invented;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Panel;
import illuminar.scenes.light.Sun;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.OutdoorMaterials;
import illuminar.scenes.outdoors.PlainSky;
import illuminar.scenes.render.Scene;
import illuminar.scenes.rooms.Garden;
import illuminar.scenes.rooms.Joinery;
import java.util.ArrayList;
import java.util.List;

/**
 * The front of a house made of parts that chance has thrown, at noon in the sun, in its own shade,
 * under cloud or at dusk with lit windows. The front is z = 0 and the camera looks towards it.
 */
final class InventedFacade {
  private static final double STOREY = 2.8;

  private final Dice dice;
  private final Mesh m = new Mesh();
  private final Material wall;
  private final Material joinery;
  private final Material glass;
  private final Material stone = OutdoorMaterials.render(0.5, 0.47, 0.40);
  private final double half;
  private final int storeys;
  private final boolean dusk;
  private final boolean sun;
  private final float[] lamp;
  private final List<Light> lights = new ArrayList<>();

  InventedFacade(Dice dice) {
    this.dice = dice;
    half = dice.between(3.2, 5.5);
    storeys = dice.whole(1, 2);
    dusk = dice.chance(0.25);
    sun = !dusk && dice.chance(0.75);
    lamp = Tint.planck(dice.between(2600, 3200));
    wall =
        dice.pick(
            List.of(
                OutdoorMaterials.bricks(0.30, 0.11, 0.07),
                OutdoorMaterials.bricks(0.36, 0.24, 0.15),
                OutdoorMaterials.render(0.70, 0.68, 0.62),
                OutdoorMaterials.render(0.55, 0.42, 0.30),
                Materials.paint(0.16, 0.22, 0.26, 0.03, 0.4)));
    joinery = dice.chance(0.75) ? Joinery.white() : Materials.paint(0.05, 0.09, 0.08, 0.04, 0.25);
    glass =
        p -> {
          p.r = p.g = p.b = 0.01f;
          p.gloss = 0.12f;
          p.rough = 0.02f;
        };
  }

  Scene scene() {
    double high = storeys * STOREY + 0.3;
    front(high);
    garden(high);
    if (sun) {
      Vec to = Vec.of(dice.between(-1, 1), dice.between(0.5, 1.3), dice.between(-0.25, 1)).unit();
      lights.add(new Sun(0, to, Tint.daylight(dice.between(4800, 5600)), 30));
    }
    double away = dice.between(5.5, 9) + storeys;
    Scene.Eye eye =
        new Scene.Eye(
            Vec.of(dice.between(-2, 2), 1.55, away),
            dice.between(-12, 12),
            dice.between(0, 6),
            dice.between(60, 78));
    return Scene.open(
            "facade",
            m,
            new Scene.Lighting(List.of("daylight", "windows"), lights, new Scene.Glow(1, lamp)),
            dusk ? PlainSky.dusk() : PlainSky.noon(),
            eye)
        .part("facade", wall)
        .part("frames", joinery)
        .part("glass", glass);
  }

  private void front(double high) {
    int n = dice.whole(2, 4);
    int door = dice.whole(0, n - 1);
    double step = 2 * half / n;
    double wide = Math.min(1.3, step * 0.5);
    for (int s = 0; s < storeys; s++) {
      Joinery.Hole[] holes = new Joinery.Hole[n];
      double sill = s * STOREY + 0.95;
      for (int i = 0; i < n; i++) {
        double x = -half + step * (i + 0.5);
        boolean entrance = s == 0 && i == door;
        holes[i] =
            entrance
                ? new Joinery.Hole(x - 0.5, 0.1, x + 0.5, 2.2)
                : new Joinery.Hole(x - wide / 2, sill, x + wide / 2, sill + 1.35);
      }
      storey(s, high, holes);
      for (int i = 0; i < n; i++) {
        boolean entrance = s == 0 && i == door;
        if (entrance) {
          entrance(holes[i]);
        } else {
          window(holes[i], i + 10 * s);
        }
      }
    }
    m.box(-half - 0.4, high, -4, half + 0.4, high + 0.22, 0.35, 0.02, joinery);
    m.quad(
        new double[][] {
          {-half - 0.4, high + 0.2, 0.35},
          {half + 0.4, high + 0.2, 0.35},
          {half + 0.4, high + 2.4, -3},
          {-half - 0.4, high + 2.4, -3}
        },
        new double[][] {{0, 0.8, 0.6}, {0, 0.8, 0.6}, {0, 0.8, 0.6}, {0, 0.8, 0.6}},
        OutdoorMaterials.slates());
    m.box(-half, -0.2, -0.1, half, 0.35, 0.05, 0.01, stone);
    Garden.drainpipe(
        m.at(half - 0.3, 0, 0, 0), high - 0.2, Materials.paint(0.05, 0.05, 0.05, 0.04, 0.3));
  }

  /** One storey's wall; each has holes of its own, which may not lie above one another. */
  private void storey(int s, double high, Joinery.Hole... holes) {
    double from = s * STOREY;
    double to = s == storeys - 1 ? high : from + STOREY;
    double x = -half;
    for (Joinery.Hole h : holes) {
      m.box(x, from, -0.34, h.x0(), to, 0, wall);
      m.box(h.x0(), from, -0.34, h.x1(), h.y0(), 0, wall);
      m.box(h.x0(), h.y1(), -0.34, h.x1(), to, 0, wall);
      x = h.x1();
    }
    m.box(x, from, -0.34, half, to, 0, wall);
  }

  private void window(Joinery.Hole h, int seed) {
    Joinery.sashes(m, h, dice.whole(1, 3), 2 * dice.whole(0, 2) + 1, 0.10, joinery);
    Joinery.casing(m, h, joinery);
    m.box(h.x0() - 0.1, h.y1(), -0.05, h.x1() + 0.1, h.y1() + 0.2, 0.03, 0.01, stone);
    m.box(h.x0() - 0.12, h.y0() - 0.12, -0.1, h.x1() + 0.12, h.y0(), 0.1, 0.012, stone);
    boolean lit = dusk && dice.chance(0.7);
    if (lit) {
      double glow = dice.between(0.03, 0.14);
      Material inside =
          p -> {
            p.r = p.g = p.b = 0;
            float u = (float) ((p.x - h.x0()) / (h.x1() - h.x0()));
            float v = (float) ((p.y - h.y0()) / (h.y1() - h.y0()));
            float d = (float) Math.hypot(u - 0.3 - 0.04 * (seed % 10), v - 0.6);
            p.glow = (float) (glow * (v < 0.25 ? 0.4 : 1) / (0.5 + 2 * d * d));
            p.glowOf = 0;
          };
      m.box(h.x0(), h.y0(), -0.32, h.x1(), h.y1(), -0.3, inside);
      lights.add(
          Panel.lit(
              1,
              Vec.of(h.x0(), h.y0(), -0.29),
              Vec.of(h.x1() - h.x0(), 0, 0),
              Vec.of(0, h.y1() - h.y0(), 0),
              lamp,
              glow));
    } else {
      m.box(h.x0(), h.y0(), -0.14, h.x1(), h.y1(), -0.135, glass);
    }
  }

  private void entrance(Joinery.Hole h) {
    Material paint =
        dice.pick(
            List.of(
                Materials.paint(0.20, 0.03, 0.03, 0.045, 0.2),
                Materials.paint(0.03, 0.07, 0.12, 0.045, 0.2),
                Materials.paint(0.75, 0.74, 0.70, 0.045, 0.2)));
    Joinery.door(
        m.at(h.x0() + 0.04, h.y0(), -0.2, 0),
        h.x1() - h.x0() - 0.08,
        h.y1() - h.y0() - 0.05,
        paint);
    m.box(h.x0(), h.y0(), -0.3, h.x0() + 0.05, h.y1(), -0.1, joinery);
    m.box(h.x1() - 0.05, h.y0(), -0.3, h.x1(), h.y1(), -0.1, joinery);
    m.box(h.x0() - 0.3, -0.1, -0.1, h.x1() + 0.3, 0.1, 0.7, 0.02, stone);
    m.box(h.x0() - 0.1, h.y1(), -0.05, h.x1() + 0.1, h.y1() + 0.2, 0.04, 0.01, stone);
  }

  private void garden(double high) {
    m.box(-40, -0.3, -30, 40, 0, 40, OutdoorMaterials.gravel());
    if (dice.chance(0.6)) {
      m.box(-1, -0.1, 0.5, 1, 0.01, 20, OutdoorMaterials.slabs(0.5, 0.6));
    }
    for (int s = -1; s <= 1; s += 2) {
      if (dice.chance(0.6)) {
        Garden.hedge(m.at(s < 0 ? -half - 3 : half * 0.35, 0, 1.6, 0), half * 0.65 + 3, 0.7, 0.6);
      }
      if (dice.chance(0.5)) {
        Garden.pot(m.at(s * half * 0.3, 0, 0.7, 0), 1.1);
      }
      if (dice.chance(0.6)) {
        Garden.tree(m.at(s * (half + 2.2), 0, -2, 0), high + 3, dice.whole(1, 99));
      }
    }
  }
}
