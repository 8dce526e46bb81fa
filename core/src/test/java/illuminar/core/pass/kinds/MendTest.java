package illuminar.core.pass.kinds;

import static illuminar.core.pass.kinds.Marked.WHOLE;
import static illuminar.core.pass.kinds.Marked.lab;
import static illuminar.core.pass.kinds.Marked.recipe;
import static illuminar.core.pass.kinds.Marked.seen;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.pass.Move;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.part.Ellipse;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Things painted in and taken out again, beside the scene without them. */
class MendTest {
  private static final int W = Painted.W;
  private static final int H = Painted.H;

  /** A thing in the middle of a scene. */
  private static final int X = 130;

  private static final int Y = 84;
  private static final int R = 11;

  private static boolean thing(int x, int y) {
    return Math.hypot(x - X, y - Y) < R - 2;
  }

  private static Marked marked(Painted.Scene scene) {
    return new Marked(scene, MendTest::thing, (x, y) -> Math.hypot(x - X, y - Y) < R);
  }

  private static Painted.Scene with(Painted.Scene scene) {
    return marked(scene).shown();
  }

  /** Plaster in the light of a lamp, with the grain of a roller. */
  static final Painted.Scene PLAIN = plain(3);

  private static Painted.Scene plain(int seed) {
    int[] grain = new Random(seed).ints(W * H, -2, 3).toArray();
    return (x, y, c) -> 210 - 8 * c - x / 3 - y / 6 + grain[y * W + x];
  }

  /** Boards with joints and streaks along them. */
  static final Painted.Scene BOARDS = boards(5);

  private static Painted.Scene boards(int seed) {
    int[] streak = new Random(seed).ints(H, -9, 10).toArray();
    int[] grain = new Random(seed + 1).ints(W * H, -6, 7).toArray();
    return (x, y, c) ->
        y % 24 == 0 ? 60 : 150 - 25 * c + streak[y] + grain[y * W + x] + (x - 120) / 8;
  }

  /** A post beside a wall over its skirting: three surfaces meet, and nowhere else as here. */
  private static final Painted.Scene MEETING = meeting();

  private static Painted.Scene meeting() {
    int[] grain = new Random(8).ints(W * H, -3, 4).toArray();
    return (x, y, c) ->
        (x >= 134 ? 92 - 12 * c : y >= 88 ? 236 - 3 * c : 178 - 9 * c) + grain[y * W + x];
  }

  private static Ellipse about(double x, double y, double radius) {
    return new Ellipse(new Point((x + 0.5) / W, (y + 0.5) / W), radius / W, radius / W, 0, 0.1);
  }

  private static Picture mended(Painted.Scene scene, Move move) {
    return marked(scene).mended(move, about(X, Y, R));
  }

  private static double left(Picture p, Painted.Scene scene) {
    return marked(scene).left(p);
  }

  /** The product's own bounds: 3 on plain walls, 6 on textured ones. */
  @Test
  void whatIsHealedIsTheSurfaceThatWasThere() {
    assertThat(left(mended(PLAIN, new Heal(0, 0)), PLAIN)).isLessThan(3);
    assertThat(left(mended(BOARDS, new Heal(0, 0)), BOARDS)).isLessThan(6);
  }

  @Test
  void healingKeepsTextureWhereTheReferenceSmears() {
    double ours = contrast(mended(BOARDS, new Heal(0, 0)));
    double truth = contrast(Painted.picture(Painted.view(BOARDS)));
    assertThat(ours / truth).isBetween(0.8, 1.25);
    assertThat(left(mended(BOARDS, new Heal(0, 0)), BOARDS))
        .isLessThan(marked(BOARDS).reference() + 1);
  }

  /** The product's own bound: 30 % better than the reference. */
  @Test
  void edgesThatMeetBehindAMarkMeetAgain() {
    assertThat(left(mended(MEETING, new Heal(0, 0)), MEETING))
        .isLessThan(0.7 * marked(MEETING).reference());
  }

  private static double contrast(Picture p) {
    double sum = 0;
    for (int i = 0; i < W * H; i++) {
      if (thing(i % W, i / W)) {
        sum += lab(p, i).difference(lab(p, i + 1));
      }
    }
    return sum;
  }

  /** No line is left about it: the rim steps no more than the wall does elsewhere. */
  @Test
  void nothingIsSeenOfTheRim() {
    Picture p = mended(PLAIN, new Heal(0, 0));
    double most = 0;
    for (int t = 0; t < 360; t += 3) {
      double cos = Math.cos(Math.toRadians(t));
      double sin = Math.sin(Math.toRadians(t));
      most =
          Math.max(
              most,
              Math.abs(mean(p, X + 7 * cos, Y + 7 * sin) - mean(p, X + 15 * cos, Y + 15 * sin)));
    }
    assertThat(most).as("L* across the rim; the wall's own slope is 1.5").isLessThan(3);
  }

  private static double mean(Picture p, double x, double y) {
    double sum = 0;
    for (int k = 0; k < 25; k++) {
      sum += lab(p, ((int) y + k / 5 - 2) * W + (int) x + k % 5 - 2).l();
    }
    return sum / 25;
  }

  @Test
  void aCloneIsItsSourcePixelForPixel() {
    Analysis view = Painted.view(with(BOARDS));
    Picture p = seen(view, recipe(new CloneOver(-40.0 / W, 24.0 / W), about(X, Y, R)), WHOLE);
    Picture below = Painted.picture(view);
    for (int y = Y - 6; y <= Y + 6; y++) {
      for (int x = X - 6; x <= X + 6; x++) {
        assertThat(p.g()[y * W + x]).isCloseTo(below.g()[(y + 24) * W + x - 40], within(1e-6f));
      }
    }
  }

  @Test
  void everyMarkHasASourceOfItsOwn() {
    Painted.Scene two =
        (x, y, c) -> Math.hypot(x - 30, y - 30) < 6 ? 20 : with(PLAIN).code(x, y, c);
    Picture p =
        seen(Painted.view(two), recipe(new Heal(0, 0), about(X, Y, R), about(30, 30, 8)), WHOLE);
    assertThat(left(p, PLAIN)).isLessThan(3);
    Picture truth = Painted.picture(Painted.view(PLAIN));
    assertThat(lab(p, 30 * W + 30).difference(lab(truth, 30 * W + 30))).isLessThan(4);
  }

  /** A mark at the border is healed by what is beside it; one without a surface beside it stays. */
  @Test
  void marksAtTheBorderAndMarksThatAreTooLarge() {
    Painted.Scene corner = (x, y, c) -> x < 9 && y < 9 ? 10 : PLAIN.code(x, y, c);
    Picture p = seen(Painted.view(corner), recipe(new Heal(0, 0), about(0, 0, 14)), WHOLE);
    Picture truth = Painted.picture(Painted.view(PLAIN));
    assertThat(lab(p, 3 * W + 3).difference(lab(truth, 3 * W + 3))).isLessThan(4);
    Analysis view = Painted.view(with(PLAIN));
    Picture large = seen(view, recipe(new Heal(0, 0), about(120, 80, 150)), WHOLE);
    assertThat(large.g()).isEqualTo(Painted.picture(view).g());
  }

  @Test
  void deliveredInAnyTilesAndShownSmallerItIsTheSame() {
    Analysis view = Painted.view(with(BOARDS));
    Recipe recipe = recipe(new Heal(0, 0), about(X, Y, R));
    Picture whole = seen(view, recipe, WHOLE);
    Marked.sameInAnyTiles(view, recipe, WHOLE.part(X - 5, Y - 5, 40, 30));
    Picture small = seen(view, recipe, Raster.whole(W, H, 0.5));
    double sum = 0;
    int n = 0;
    for (int y = Y / 2 - 4; y <= Y / 2 + 4; y++) {
      for (int x = X / 2 - 4; x <= X / 2 + 4; x++) {
        Picture mean = whole.averaged(WHOLE, new Raster(1, 2 * x, 2 * y, 2, 2), 2);
        sum += lab(small, y * W / 2 + x).difference(lab(mean, 0));
        n++;
      }
    }
    assertThat(sum / n).isLessThan(0.5);
  }

  @Test
  void waysThatLeadNowhereAreRefused() {
    assertThatThrownBy(() -> new Heal(2, 0)).hasMessageContaining("Source across");
    assertThatThrownBy(() -> new CloneOver(0, -2)).hasMessageContaining("Source down");
  }
}
