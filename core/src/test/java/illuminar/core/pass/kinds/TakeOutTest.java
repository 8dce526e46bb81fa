package illuminar.core.pass.kinds;

import static illuminar.core.pass.kinds.Marked.H;
import static illuminar.core.pass.kinds.Marked.W;
import static illuminar.core.pass.kinds.Marked.WHOLE;
import static illuminar.core.pass.kinds.Marked.lab;
import static illuminar.core.pass.kinds.Marked.recipe;
import static illuminar.core.pass.kinds.Marked.seen;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import illuminar.core.analysis.Analysis;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.region.part.Ellipse;
import illuminar.core.region.part.Panel;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Large things painted in and taken out again, beside the scene without them. */
class TakeOutTest {
  private static final int LEFT = 110;
  private static final int RIGHT = 122;
  private static final int TOP = 20;
  private static final int FOOT = 140;
  private static final int OVER = 2;

  /** A stand before it all. */
  private static boolean stand(int x, int y) {
    return x >= LEFT && x < RIGHT && y >= TOP && y < FOOT;
  }

  private static boolean brushed(int x, int y) {
    return x >= LEFT - OVER && x < RIGHT + OVER && y >= TOP - OVER && y < FOOT + OVER;
  }

  private static final Panel BRUSH =
      new Panel(
          List.of(
              at(LEFT - OVER, TOP - OVER),
              at(RIGHT + OVER, TOP - OVER),
              at(RIGHT + OVER, FOOT + OVER),
              at(LEFT - OVER, FOOT + OVER)),
          0);

  private static Point at(double x, double y) {
    return new Point(x / W, y / W);
  }

  /** A wall with a rail, a skirting, and boards with joints and streaks below it. */
  private static final Painted.Scene ROOM = room();

  private static Painted.Scene room() {
    int[] streak = new Random(5).ints(H, -9, 10).toArray();
    int[] grain = new Random(6).ints(W * H, -4, 5).toArray();
    return (x, y, c) -> {
      int code;
      if (y < 52) {
        code = 205 - 6 * c - x / 6;
      } else if (y < 58) {
        code = 96 - 14 * c;
      } else if (y < 92) {
        code = 178 - 22 * c - x / 8;
      } else if (y < 100) {
        code = 232 - 4 * c;
      } else {
        code = (y - 100) % 15 == 0 ? 58 : 146 - 26 * c + streak[y];
      }
      return code + grain[y * W + x];
    };
  }

  private static Marked standing(Painted.Scene scene) {
    return new Marked(scene, TakeOutTest::stand, TakeOutTest::brushed);
  }

  /** The product's own bounds: 6 on textured surfaces, 30 % better than the reference smears. */
  @Test
  void linesGoOnBehindWhatIsTakenOut() {
    Marked room = standing(ROOM);
    double ours = room.left(room.mended(new TakeOut(1.5), BRUSH));
    assertThat(ours).isLessThan(6).isLessThan(0.7 * room.reference());
  }

  /** Copying has the grain of another place: √2 of what smoothing is off. */
  @Test
  void aPlainWallIsPlainAgain() {
    Marked wall = standing(MendTest.PLAIN);
    assertThat(wall.left(wall.mended(new TakeOut(1.5), BRUSH))).isLessThan(3);
  }

  /** Where a source leads into the thing there is nothing to take. */
  @Test
  void nothingOfTheThingIsCopied() {
    Picture p = standing(ROOM).mended(new TakeOut(4), BRUSH);
    for (int i = 0; i < W * H; i++) {
      if (brushed(i % W, i / W) && i / W < 50) {
        assertThat(lab(p, i).l()).as("L* at %d, %d", i % W, i / W).isGreaterThan(60);
      }
    }
  }

  /**
   * One that leaves no surface beside it stays; one at the border is filled from its other side.
   */
  @Test
  void thingsAtTheBorderAndThingsThatAreTooLarge() {
    Painted.Scene corner = (x, y, c) -> x < 30 && y < 20 ? 10 : MendTest.PLAIN.code(x, y, c);
    Analysis view = Painted.view(corner);
    Ellipse about = new Ellipse(at(0, 0), 40.0 / W, 30.0 / W, 0, 0.1);
    Picture p = seen(view, recipe(new TakeOut(1.5), about), WHOLE);
    Picture truth = Painted.picture(Painted.view(MendTest.PLAIN));
    assertThat(lab(p, 5 * W + 5).difference(lab(truth, 5 * W + 5))).isLessThan(5);
    Ellipse all = new Ellipse(at(120, 80), 150.0 / W, 150.0 / W, 0, 0.1);
    assertThat(seen(view, recipe(new TakeOut(1.5), all), WHOLE).g())
        .isEqualTo(Painted.picture(view).g());
  }

  @Test
  void deliveredInAnyTilesItIsTheSame() {
    Marked.sameInAnyTiles(
        Painted.view(standing(ROOM).shown()),
        recipe(new TakeOut(1.5), BRUSH),
        WHOLE.part(LEFT - 5, TOP, 40, 30));
  }

  @Test
  void aReachThatIsNoneIsRefused() {
    assertThatThrownBy(() -> new TakeOut(0)).hasMessageContaining("Taken from");
  }
}
