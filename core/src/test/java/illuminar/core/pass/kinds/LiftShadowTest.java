package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.frame.Similarity;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Loop;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Shadows cast by a straight edge over two surfaces, each lit by the sun's disc and by the sky, and
 * the same without the shadow. The model is the literature's (Finlayson, Hordley, Drew 2002): light
 * is what the sky gives and the share of the sun that is not kept away.
 */
class LiftShadowTest {
  private static final int W = 720;
  private static final int H = 480;
  private static final int FLOOR = 300;
  private static final double[] SUN = {0.62, 0.58, 0.50};
  private static final double[] SKY = {0.10, 0.12, 0.15};

  /**
   * A wall over a floor of slabs.
   *
   * @param half half the width of the penumbra, pixels; below 0 there is no shadow
   * @param less share of the sky's light that corners lose
   */
  private record Yard(double half, double less) {

    /** Pixels from the shadow's edge, above 0 in the sun. */
    static double sunny(int x, int y) {
      double upright = (x - 430) * 0.96 + (y - 150) * 0.28;
      return y < FLOOR ? upright : (x - 386) * 0.8 + (y - FLOOR) * 0.6;
    }

    Analysis view() {
      byte[] codes = new byte[3 * W * H];
      Random grain = new Random(11);
      for (int i = 0; i < W * H; i++) {
        double texture = 1 + 0.06 * (grain.nextDouble() - 0.5);
        for (int c = 0; c < 3; c++) {
          double light = light(i % W, i / W, c) * paint(i % W, i / W, c) * texture;
          codes[3 * i + c] = (byte) Math.round(255 * Srgb.encode(Math.min(1, light)));
        }
      }
      Pyramid pixels = Pyramid.of(Codes.of8(W, H, codes));
      Frame frame = new Frame("a", Role.AMBIENT, 0, Similarity.NONE, pixels);
      return new Analysis(new Frames(List.of(frame), "a", Response.srgb()));
    }

    private double light(int x, int y, int c) {
      double t = Math.max(-1, Math.min(1, half < 0 ? 1 : sunny(x, y) / half));
      double seen = 0.5 + (t * Math.sqrt(1 - t * t) + Math.asin(t)) / Math.PI;
      boolean floor = y >= FLOOR;
      double open = 1 - less * (floor ? 0 : (double) y / FLOOR) * (W - x) / W;
      return (floor ? 0.75 : 1) * seen * SUN[c] + (floor ? 1.4 : 1) * open * SKY[c];
    }

    private static double paint(int x, int y, int c) {
      if (y < FLOOR) {
        return new double[] {0.86, 0.83, 0.76}[c];
      }
      boolean joint = (y - FLOOR) % 60 < 2 || (x + (y - FLOOR) / 60 * 40) % 110 < 2;
      return joint ? 0.12 : 0.46;
    }
  }

  private static Region loop(String id, double... at) {
    Point[] points = new Point[at.length / 2];
    for (int k = 0; k < points.length; k++) {
      points[k] = new Point(at[2 * k] / W, at[2 * k + 1] / W);
    }
    Part part = new Part("l", Part.Combine.ADD, new Loop(DrawnLine.write(List.of(points))));
    return new Region(id, id, List.of(part), 0, false);
  }

  private static final Region ALL = loop("all", 2, 2, 600, 2, 520, 478, 2, 478);
  private static final Region WALL = loop("wall", 2, 2, 600, 2, 540, FLOOR - 2, 2, FLOOR - 2);

  private static Recipe recipe(LiftShadow move, Region region) {
    Pass pass = new Pass("p", true, move, new Where(region.id(), false), Gate.ALL, 1, "");
    return new Recipe(new Ground.OneFrame("a"), List.of(region), List.of(pass));
  }

  private static final LiftShadow LIFT = new LiftShadow(1, 1, 1, 1);
  private static final Raster WHOLE = Raster.whole(W, H, 1);

  private static PreviewSession session(Analysis view) {
    return new PreviewSession(view, new RenderCache(100_000_000));
  }

  private static Picture lifted(Yard yard, LiftShadow move, Region region) {
    return session(yard.view()).picture(recipe(move, region), WHOLE);
  }

  private static Picture truth(Yard yard) {
    Recipe plain = new Recipe(new Ground.OneFrame("a"), List.of(), List.of());
    return session(new Yard(-1, yard.less).view()).picture(plain, WHOLE);
  }

  private static Lab lab(Picture p, int i) {
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  private interface Place {
    boolean holds(int x, int y);
  }

  /** Mean CIEDE2000 of a picture against another. */
  private static double off(Picture p, Picture truth, Place place) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < W * H; i++) {
      if (place.holds(i % W, i / W)) {
        sum += lab(p, i).difference(lab(truth, i));
        n++;
      }
    }
    return sum / n;
  }

  /** Mean tone against another picture's, stops. */
  private static double tone(Picture p, Picture truth, Place place) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < W * H; i++) {
      if (place.holds(i % W, i / W)) {
        sum += Stops.of(p.luminanceAt(i)) - Stops.of(truth.luminanceAt(i));
        n++;
      }
    }
    return sum / n;
  }

  /** How far neighbours differ, stops. */
  private static double texture(Picture p, Place place) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < W * H - 1; i++) {
      if (place.holds(i % W, i / W)) {
        double d = Stops.of(p.luminanceAt(i)) - Stops.of(p.luminanceAt(i + 1));
        sum += d * d;
        n++;
      }
    }
    return Math.sqrt(sum / n);
  }

  /** Within 20 pixels beyond the penumbra, in the shadow or with {@code side} 1 in the sun. */
  private static Place beside(Yard yard, int side, boolean floor) {
    return (x, y) -> {
      double d = side * Yard.sunny(x, y);
      return d > yard.half && d < yard.half + 20 && inside(y, floor);
    };
  }

  private static boolean inside(int y, boolean floor) {
    return floor ? y > FLOOR + 6 && y < H - 6 : y > 6 && y < FLOOR - 6;
  }

  private static void meets(Yard yard, Region region, boolean floor) {
    Picture p = lifted(yard, LIFT, region);
    Picture truth = truth(yard);
    double step = tone(p, truth, beside(yard, -1, floor)) - tone(p, truth, beside(yard, 1, floor));
    assertThat(Math.abs(Math.pow(2, step) - 1)).as("step " + floor).isLessThan(0.03);
    Place shadow = (x, y) -> Yard.sunny(x, y) < -yard.half && inside(y, floor) && x > 10;
    assertThat(off(p, truth, shadow)).as("shadow " + floor).isLessThan(2);
    Place edge = (x, y) -> Math.abs(Yard.sunny(x, y)) < yard.half + 4 && inside(y, floor);
    assertThat(off(p, truth, edge)).as("edge " + floor).isLessThan(2.5);
    assertThat(texture(p, shadow) / texture(truth, shadow)).isBetween(0.9, 1.1);
  }

  /** Goals of the trade: a step of at most 3 %, 2 CIEDE2000, texture as it is. */
  @Test
  void aSoftEdgedShadowMeetsTheLightOnWallAndFloorAtOnce() {
    Yard yard = new Yard(9, 0);
    meets(yard, ALL, false);
    meets(yard, ALL, true);
  }

  @Test
  void aSharpEdgeLeavesNoLine() {
    meets(new Yard(1.5, 0), WALL, false);
  }

  @Test
  void cornersWithLessLightAreLiftedMore() {
    Yard yard = new Yard(6, 0.5);
    meets(yard, WALL, false);
    Place corner = (x, y) -> x < 200 && y > 200 && y < FLOOR - 6;
    Picture truth = truth(yard);
    double plain = tone(lifted(yard, new LiftShadow(1, 1, 1, 0), WALL), truth, corner);
    double even = tone(lifted(yard, LIFT, WALL), truth, corner);
    assertThat(even).isGreaterThan(plain + 0.15);
  }

  @Test
  void halfTheLiftIsHalfTheWay() {
    Yard yard = new Yard(6, 0);
    Place shadow = (x, y) -> Yard.sunny(x, y) < -20 && inside(y, false);
    Picture before = session(yard.view()).picture(recipe(new LiftShadow(0, 1, 1, 1), WALL), WHOLE);
    Picture half = lifted(yard, new LiftShadow(0.5, 1, 1, 1), WALL);
    Picture whole = lifted(yard, LIFT, WALL);
    int i = 150 * W + 100;
    assertThat(shadow.holds(100, 150)).isTrue();
    assertThat(half.g()[i]).isBetween(before.g()[i] * 1.5f, whole.g()[i] * 0.7f);
  }

  /** Without its colour it keeps the blue of the sky's light. */
  @Test
  void colourComesFromTheLitSide() {
    Yard yard = new Yard(6, 0);
    Picture own = lifted(yard, new LiftShadow(1, 0, 1, 1), WALL);
    Picture lit = lifted(yard, LIFT, WALL);
    int i = 150 * W + 100;
    assertThat(own.b()[i] / own.r()[i]).isGreaterThan(1.3f * lit.b()[i] / lit.r()[i]);
    assertThat(own.luminanceAt(i)).isCloseTo(lit.luminanceAt(i), within(0.01f));
  }

  /** No lit side: nothing is changed, and it is said. */
  @Test
  void whereNoEdgeIsSeenNothingIsDone() {
    Analysis view = new Yard(6, 0).view();
    Region deep = loop("deep", 20, 20, 200, 20, 200, 200, 20, 200);
    PreviewSession session = session(view);
    Recipe recipe = recipe(LIFT, deep);
    Recipe plain = new Recipe(new Ground.OneFrame("a"), List.of(), List.of());
    assertThat(session.picture(recipe, WHOLE).g()).isEqualTo(session.picture(plain, WHOLE).g());
    assertThat(session.idle(recipe, "p")).hasValueSatisfying(s -> assertThat(s).contains("edge"));
    assertThat(session.idle(recipe(LIFT, WALL), "p")).isEmpty();
  }

  /** A preview at half the size is the delivery, seen from farther away. */
  @Test
  void aSmallPreviewShowsTheSame() {
    Analysis view = new Yard(5, 0.3).view();
    Raster half = Raster.whole(W, H, 0.5);
    Picture small = session(view).picture(recipe(LIFT, ALL), half);
    Picture large = session(view).picture(recipe(LIFT, ALL), WHOLE);
    Picture shrunk = large.averaged(WHOLE, half.finer(2), 2);
    double sum = 0;
    for (int i = 0; i < half.pixels(); i++) {
      sum += lab(small, i).difference(lab(shrunk, i));
    }
    assertThat(sum / half.pixels()).isLessThan(0.5);
  }
}
