package illuminar.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.Outline;
import illuminar.core.region.part.WindowFinder;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Whatever is moved, in whatever order, and whatever is kept from before: the picture is the one
 * that a session without a past makes, bit for bit.
 */
class MovesTest {
  private static final int W = 480;
  private static final int H = 320;
  private static final Analysis ANALYSIS = new TestRoom(W, H).analysis();
  private static final Raster SMALL = Raster.fitted(W, H, 150);

  private static PreviewSession fresh() {
    return new PreviewSession(ANALYSIS, new RenderCache(200_000_000));
  }

  private static Region region(String id, double feather, Shape... shapes) {
    List<Part> parts = new ArrayList<>();
    for (Shape s : shapes) {
      parts.add(new Part("p" + parts.size(), Part.Combine.ADD, s));
    }
    return new Region(id, id, parts, feather, false);
  }

  /** Seven passes of all kinds; {@code value} is what the control of pass {@code moved} says. */
  private static Recipe recipe(int moved, double value) {
    List<Region> regions =
        List.of(
            region("panes", 0, new WindowFinder(0)),
            region("burnt", 5, new BurntLight("a2", 0.5)),
            region(
                "corner",
                30,
                new Outline(
                    List.of(new Point(0.5, 0.3), new Point(0.95, 0.35), new Point(0.7, 0.6)))));
    List<Pass> passes = new ArrayList<>();
    Gate some = new Gate(-7, -5, -1, 0);
    add(passes, new Tone(moved == 0 ? value : 0.2, 10, 0, 20), "", false, Gate.ALL);
    add(passes, new BringFrame("w", moved == 1 ? value : 0.8, 4), "panes", false, Gate.ALL);
    add(passes, new BringFrame("a0", moved == 2 ? value : 0.1, 0), "burnt", false, some);
    add(passes, new Tone(0.1, moved == 3 ? 20 * value : 5, -10, 0), "corner", false, some);
    add(passes, new Tone(0, 0, -20, moved == 4 ? 20 * value : 15), "corner", true, Gate.ALL);
    add(passes, new BringFrame("w", moved == 5 ? value : 0.6, 2), "corner", false, some);
    add(passes, new Tone(moved == 6 ? value : -0.1, 0, 0, 0), "", false, Gate.ALL);
    return new Recipe(new Ground.EvenBlend(List.of("a0", "a1", "a2"), 0.1, "a1"), regions, passes);
  }

  private static void add(List<Pass> passes, Move move, String region, boolean outside, Gate gate) {
    passes.add(
        new Pass("p" + passes.size(), true, move, new Where(region, outside), gate, 0.85, ""));
  }

  private static void same(Picture a, Picture b) {
    for (int c = 0; c < 3; c++) {
      assertThat(Arrays.equals(a.channel(c), b.channel(c))).as("channel %d", c).isTrue();
    }
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6})
  void movingOneControlShowsWhatAFreshRendererShows(int moved) {
    PreviewSession warm = fresh();
    for (double v = -0.5; v <= 0.5; v += 0.25) {
      same(warm.picture(recipe(moved, v), SMALL), fresh().picture(recipe(moved, v), SMALL));
    }
  }

  @Test
  void movingOneControlAfterTheOther() {
    PreviewSession warm = fresh();
    for (int moved : new int[] {6, 3, 1, 0, 5, 2, 4, 1, 6}) {
      warm.picture(recipe(moved, 0.3), SMALL);
      same(warm.picture(recipe(moved, 0.4), SMALL), fresh().picture(recipe(moved, 0.4), SMALL));
    }
  }

  /** A viewport cut anywhere shows the same pixels as the whole, below half size and above. */
  @ParameterizedTest
  @CsvSource({"0.31,20,11,70,50", "0.31,0,0,149,99", "0.5,101,61,90,80", "0.8,37,53,120,90"})
  void aViewportIsACutOfTheWholeAtEveryScale(double scale, int x, int y, int w, int h) {
    Raster whole = Raster.whole(W, H, scale);
    Raster cut = new Raster(scale, x, y, w, h);
    Picture all = fresh().picture(recipe(1, 0.4), whole);
    same(fresh().picture(recipe(1, 0.4), cut), all.cut(whole, cut));
  }

  @Test
  void passesSwitchedAndReorderedAreNotConfused() {
    PreviewSession warm = fresh();
    Recipe all = recipe(6, 0.2);
    List<Pass> p = all.passes();
    List<List<Pass>> orders =
        List.of(
            p,
            p.subList(1, 7),
            List.of(p.get(1), p.get(0), p.get(3), p.get(2)),
            List.of(p.get(4)),
            List.of(),
            p);
    for (List<Pass> order : orders) {
      Recipe r = all.withPasses(order);
      same(warm.picture(r, SMALL), fresh().picture(r, SMALL));
    }
  }

  /** Little room to keep things in costs time, not truth. */
  @Test
  void aSmallCacheChangesNothing() {
    PreviewSession poor = new PreviewSession(ANALYSIS, new RenderCache(300_000));
    for (int moved = 0; moved < 7; moved++) {
      same(poor.picture(recipe(moved, 0.3), SMALL), fresh().picture(recipe(moved, 0.3), SMALL));
    }
  }

  /** A region that reaches nothing leaves every bit alone. */
  @Test
  void aRegionWithNothingInItDoesNothing() {
    Region nothing = region("none", 0, new Outline(List.of()));
    Recipe ground = new Recipe(new Ground.OneFrame("a1"), List.of(nothing), List.of());
    Pass tone =
        new Pass("t", true, new Tone(2, 40, 10, 30), new Where("none", false), Gate.ALL, 1, "");
    Pass frame =
        new Pass("f", true, new BringFrame("w", 2, 4), new Where("none", false), Gate.ALL, 1, "");
    same(
        fresh().picture(ground.withPasses(List.of(tone, frame)), SMALL),
        fresh().picture(ground, SMALL));
  }

  /** Two moves of half a stop are one of a whole stop. Source: ISO 2720, exposures add in stops. */
  @Test
  void exposuresAddInStops() {
    Recipe ground = new Recipe(new Ground.OneFrame("a1"), List.of(), List.of());
    Pass half = new Pass("a", true, new Tone(0.5, 0, 0, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    Pass other = new Pass("b", true, new Tone(0.5, 0, 0, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    Pass whole = new Pass("c", true, new Tone(1, 0, 0, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    Picture two = fresh().picture(ground.withPasses(List.of(half, other)), SMALL);
    Picture one = fresh().picture(ground.withPasses(List.of(whole)), SMALL);
    for (int i = 0; i < one.g().length; i += 17) {
      assertThat(Math.abs(two.g()[i] / one.g()[i] - 1)).isLessThan(1e-5f);
    }
  }

  /** Inside and outside of a region together are everywhere. */
  @Test
  void insideAndOutsideMakeTheWhole() {
    Recipe base = recipe(0, 0);
    Tone up = new Tone(0.7, 0, 0, 0);
    Pass in = new Pass("i", true, up, new Where("corner", false), Gate.ALL, 1, "");
    Pass out = new Pass("o", true, up, new Where("corner", true), Gate.ALL, 1, "");
    Pass all = new Pass("w", true, up, Where.EVERYWHERE, Gate.ALL, 1, "");
    Picture both = fresh().picture(base.withPasses(List.of(in, out)), SMALL);
    Picture whole = fresh().picture(base.withPasses(List.of(all)), SMALL);
    for (int i = 0; i < whole.g().length; i += 13) {
      assertThat(Math.abs(both.g()[i] / whole.g()[i] - 1)).isLessThan(1e-4f);
    }
  }
}
