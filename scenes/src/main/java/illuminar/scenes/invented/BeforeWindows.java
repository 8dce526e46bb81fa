package illuminar.scenes.invented;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.rooms.Furniture;
import illuminar.scenes.rooms.Joinery;
import illuminar.scenes.rooms.Pieces;
import java.util.List;

/** What stands and hangs before the windows of an invented room. */
final class BeforeWindows {
  private final Dice dice;
  private final Material leaf = Materials.leaf();
  private final Material cloth;
  private final Material lamp;
  private final Mesh sheers = new Mesh();

  BeforeWindows(Dice dice) {
    this.dice = dice;
    cloth = Textiles.sheer(0.75, 0.74, 0.70, dice.between(0.25, 0.55));
    lamp =
        dice.pick(
            List.of(
                Materials.paint(0.03, 0.03, 0.032, 0.05, 0.2),
                Materials.paint(0.25, 0.05, 0.04, 0.05, 0.2),
                Materials.paint(0.05, 0.12, 0.10, 0.05, 0.2)));
  }

  Material leaf() {
    return leaf;
  }

  Material cloth() {
    return cloth;
  }

  /** Paint of the reading lamps. */
  Material lamp() {
    return lamp;
  }

  /** Sheer curtains, apart from all else. */
  Mesh sheers() {
    return sheers;
  }

  /** Puts a plant, or a table with a reading lamp, before a window. */
  void stand(Opening o, Mesh wall, Material wood) {
    Joinery.Hole h = o.hole();
    double middle = (h.x0() + h.x1()) / 2;
    if (dice.chance(0.4)) {
      double size = o.door() ? dice.between(1.2, 1.9) : dice.between(0.5, 0.9);
      double y = o.door() ? 0 : h.y0();
      Furniture.plant(
          wall.at(h.x0() + h.wide() * dice.between(0.1, 0.9), y, o.door() ? 0.4 : 0.0, 0),
          size,
          dice.whole(12, 26),
          dice.whole(1, 999),
          leaf);
    }
    if (!o.door() && dice.chance(0.35)) {
      double high = dice.between(0.70, 0.76);
      Pieces.table(wall.at(middle, 0, 0.45, 0), 1.3, 0.6, high, wood);
      Pieces.readingLamp(
          wall.at(middle + dice.between(-0.4, 0.4), high, 0.4, dice.between(-60, 60)), lamp);
    }
  }

  /**
   * Hangs a sheer curtain before all of a window or half of it, and heavy ones beside it.
   *
   * @param sheer where sheer cloth is drawn into, along the same wall
   */
  void hang(Opening o, Mesh wall, Mesh sheer) {
    Joinery.Hole h = o.hole();
    if (dice.chance(0.4)) {
      double from = dice.chance(0.5) ? h.x0() - 0.1 : (h.x0() + h.x1()) / 2;
      double wide = h.x1() + 0.1 - from;
      double drop = h.y1() + 0.1 - (o.door() ? 0 : 0.25);
      Furniture.curtain(
          sheer.at(from, h.y1() + 0.12, 0.09, 0), wide, drop, Math.max(3, (int) (wide * 9)), cloth);
    }
    if (dice.chance(0.35)) {
      Material heavy =
          dice.pick(
              List.of(
                  Textiles.cloth(0.42, 0.38, 0.30, 400),
                  Textiles.cloth(0.16, 0.20, 0.26, 400),
                  Textiles.cloth(0.35, 0.10, 0.08, 400)));
      double drop = h.y1() + 0.13;
      Furniture.curtain(wall.at(h.x0() - 0.32, drop, 0.12, 0), 0.34, drop - 0.03, 4, heavy);
      Furniture.curtain(wall.at(h.x1() - 0.02, drop, 0.12, 0), 0.34, drop - 0.03, 4, heavy);
    }
  }
}
