package illuminar.benchmarks;

import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Point;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Brush;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.Outline;
import illuminar.core.region.part.WindowFinder;
import java.util.ArrayList;
import java.util.List;

/** A recipe of many passes and regions, most of them alike. */
final class Alike {
  private Alike() {}

  /** Passes of {@link #recipe}. */
  static final int PASSES = 12;

  /**
   * 12 passes and 8 regions of the kinds that exist.
   *
   * @param value what the control of pass {@code moved} stands at
   */
  static Recipe recipe(double value, int moved) {
    List<Region> regions = new ArrayList<>();
    regions.add(
        new Region(
            "r0",
            "Panes",
            List.of(new Part("p", Part.Combine.ADD, new WindowFinder(0))),
            0,
            false));
    regions.add(
        new Region(
            "r1",
            "Burnt",
            List.of(new Part("p", Part.Combine.ADD, new BurntLight("f3", 0.5))),
            6,
            false));
    for (int i = 2; i < 8; i++) {
      double x = 0.1 * i;
      List<Point> shape =
          List.of(
              new Point(x, 0.1),
              new Point(x + 0.2, 0.12),
              new Point(x + 0.15, 0.45),
              new Point(x - 0.05, 0.4));
      Brush.Stroke stroke =
          new Brush.Stroke(
              0.03,
              0.6,
              0.8,
              false,
              List.of(new Point(x, 0.3), new Point(x + 0.1, 0.35), new Point(x + 0.2, 0.3)));
      regions.add(
          new Region(
              "r" + i,
              "Region " + i,
              List.of(
                  new Part("a", Part.Combine.ADD, new Outline(shape)),
                  new Part(
                      "b",
                      i % 2 == 0 ? Part.Combine.TAKE_AWAY : Part.Combine.ADD,
                      new Brush(List.of(stroke)))),
              20 * i,
              false));
    }
    List<Pass> passes = new ArrayList<>();
    passes.add(pass("w", new BringFrame("f7", moved == 0 ? value % 2 : 0.9, 4), "r0", Gate.ALL));
    passes.add(pass("h", new BringFrame("f1", moved == 1 ? value % 2 : 0.2, 0), "r1", Gate.ALL));
    for (int i = 0; i < 10; i++) {
      double e = i + 2 == moved ? value : 0.05 * i;
      Tone tone = new Tone(e * 0.2, i % 3 == 0 ? 6 : 0, i % 2 == 0 ? -8 : 0, i % 2 == 1 ? 9 : 0);
      passes.add(
          pass(
              "t" + i,
              tone,
              i < 2 ? "" : "r" + (i % 6 + 2),
              i % 4 == 3 ? new Gate(-8, -6, -1, 0) : Gate.ALL));
    }
    return new Recipe(
        new Ground.EvenBlend(List.of("f0", "f1", "f2", "f3", "f4"), 0.1, "f2"), regions, passes);
  }

  static Pass pass(String id, Move move, String region, Gate gate) {
    return new Pass(id, true, move, new Where(region, false), gate, 0.9, "");
  }
}
