package illuminar.benchmarks;

import illuminar.core.analysis.cast.Casts;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Channels;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.kinds.Balance;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.ClearCasts;
import illuminar.core.pass.kinds.Colour;
import illuminar.core.pass.kinds.Detail;
import illuminar.core.pass.kinds.EvenOut;
import illuminar.core.pass.kinds.Fill;
import illuminar.core.pass.kinds.Glow;
import illuminar.core.pass.kinds.Heal;
import illuminar.core.pass.kinds.HueBand;
import illuminar.core.pass.kinds.RestoreLight;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.pass.kinds.ToneCurve;
import illuminar.core.picture.Point;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Look;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Brush;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.ColourBand;
import illuminar.core.region.part.Ellipse;
import illuminar.core.region.part.Ramp;
import illuminar.core.region.part.SimilarColour;
import illuminar.core.region.part.ToneBand;
import illuminar.core.region.part.WindowFinder;
import java.util.ArrayList;
import java.util.List;

/** A recipe of twelve kinds of pass and eight kinds of region, for timing. */
final class Mixed {
  private Mixed() {}

  /**
   * @param value what the control of pass {@code moved} stands at
   */
  static Recipe recipe(double value, int moved) {
    double v = value % 1;
    double[] at = new double[Alike.PASSES];
    at[moved] = v;
    List<Pass> passes = new ArrayList<>();
    add(passes, new BringFrame("f7", 0.9 + at[0], 4), "panes");
    add(passes, new RestoreLight("f0", -1.2 - at[1], -0.1), "burnt");
    add(passes, new Glow(0.2 + at[2], 18, 0.4), "lamp");
    add(passes, new Tone(0.3 + at[3], 6, -20, 15), "");
    add(
        passes,
        new ToneCurve(
            Channels.LIGHTNESS,
            List.of(new Point(-8, -8), new Point(-4, -4.2 - at[4]), new Point(0, 0))),
        "");
    add(passes, new Fill(30 + 10 * at[5], -3.5, 10, 0.9), "darks");
    add(passes, new ClearCasts(Casts.Source.SURFACES, "", 0.6 + 0.3 * at[6], 0.3), "");
    add(passes, new Colour(10 * at[7], 2, 1.05), "");
    add(passes, new HueBand(120, 45, 0.6 + 0.3 * at[8], -3, 0), "chair");
    add(passes, new Balance(0.1 * at[9], 4, 1, 1), "wall");
    add(passes, new EvenOut(0.5 + 0.4 * at[10], 0.05), "ramp");
    add(passes, new Detail(20 + 20 * at[11], 0, 0), "brush");
    return new Recipe(ground(), regions(12, 20), passes);
  }

  /** The same with a brush region of so many strokes, the last of so many points. */
  static Recipe painted(int strokes, int points) {
    Recipe still = recipe(0, 0);
    return new Recipe(ground(), regions(strokes, points), still.passes());
  }

  /** A line of 200 of 6000 pixels is healed, each time elsewhere and in another direction. */
  static Recipe healed(int k) {
    double turn = 2.4 * k;
    Point from = new Point(0.1 + 0.618 * k % 0.8, 0.1 + 0.755 * k % 0.45);
    double length = 200.0 / 6000;
    Point to = new Point(from.x() + length * Math.cos(turn), from.y() + length * Math.sin(turn));
    String line = DrawnLine.write(List.of(from, to));
    Brush brush = new Brush(List.of(new Brush.Stroke(15.0 / 6000, 0, 1, false, 0, line)));
    List<Pass> passes = new ArrayList<>();
    add(passes, new Heal(0, 0), "line-" + k);
    return new Recipe(ground(), List.of(region("line-" + k, 0, brush)), passes);
  }

  private static Ground ground() {
    return new Ground.EvenBlend(List.of("f0", "f1", "f2", "f3", "f4"), 0.1, "f2");
  }

  private static void add(List<Pass> passes, Move move, String region) {
    passes.add(Alike.pass("p" + passes.size(), move, region, Gate.ALL));
  }

  private static Region region(String id, double feather, Shape shape) {
    return new Region(id, id, List.of(new Part("a", Part.Combine.ADD, shape)), feather, false);
  }

  private static List<Region> regions(int strokes, int points) {
    return List.of(
        region("panes", 0, new WindowFinder(0)),
        region("burnt", 6, new BurntLight("f2", 0.4)),
        region("lamp", 0, new Ellipse(new Point(0.2, 0.33), 0.08, 0.1, 0, 0.9)),
        region("darks", 10, new ToneBand(Look.GROUND, ToneBand.Tones.DARKS, 4, 6, List.of(), 0, 1)),
        region(
            "chair",
            4,
            new ColourBand(Look.GROUND, List.of(new ColourBand.Pick(250, 20)), 25, 20, 0.5)),
        region("wall", 2, new SimilarColour(Look.GROUND, new Point(0.55, 0.2), 12, 0.5, true)),
        region("ramp", 0, new Ramp(new Point(0.5, 0), new Point(0.5, 0.3))),
        region("brush", 0, brush(strokes, points)));
  }

  private static Shape brush(int strokes, int points) {
    List<Brush.Stroke> all = new ArrayList<>();
    for (int k = 0; k < strokes; k++) {
      List<Point> line = new ArrayList<>();
      int n = k == strokes - 1 ? points : 20;
      for (int i = 0; i < n; i++) {
        line.add(new Point(0.1 + 0.012 * i, 0.1 + 0.45 * k / strokes + 0.01 * Math.sin(i)));
      }
      all.add(new Brush.Stroke(0.02, 0.6, 0.7, false, 15, DrawnLine.write(line)));
    }
    return new Brush(all);
  }
}
