package illuminar.core.region.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.GardenRoom;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * A window by one click or one box, beside what is known of an invented one; our own, no source.
 */
class HandWindowTest {
  private static final int W = GardenRoom.WIDTH;
  private static final Raster WHOLE = Raster.whole(W, GardenRoom.HEIGHT, 1);
  private static final PreviewSession SESSION =
      new PreviewSession(
          GardenRoom.analysis((x, y, c) -> light(x, y), 2, 2), new RenderCache(100_000_000));

  private static boolean glass(int x, int y) {
    boolean within = x > 500 && x < 700 && y > 180 && y < 420;
    return within && Math.abs(x - 600) >= 4 && Math.abs(y - 300) >= 5;
  }

  /** A sash window with one bar either way and a rod before it, in a plain wall. */
  private static double light(int x, int y) {
    boolean rod = Math.abs(x - 540 - 0.2 * (y - 180)) < 2;
    return glass(x, y) && !rod ? 2.2 + 0.5 * Math.sin(x * 0.2) * Math.sin(y * 0.17) : 0.1;
  }

  private static double seen(int x, int y) {
    return light(x, y) > 1 ? 1 : 0;
  }

  private static float[] draw(HandWindow window, Raster raster) {
    Region region =
        new Region("w", "Window", List.of(new Part("p", Part.Combine.ADD, window)), 0, false);
    Recipe recipe = new Recipe(new Ground.OneFrame("f0"), List.of(region), List.of());
    return SESSION.coverage(recipe, "w", raster).copy();
  }

  private static Point at(double x, double y) {
    return new Point(x / W, y / W);
  }

  private static HandWindow click(double before) {
    return new HandWindow(at(650, 250), at(650, 250), before, 0, 3);
  }

  /** The goal for a matte: 0.04 in the mean within 12 pixels of any edge. */
  @Test
  void aClickFindsThePanesAndLeavesOutBarsAndWhatStandsBeforeThem() {
    float[] drawn = draw(click(1), WHOLE);
    double off = 0;
    int n = 0;
    for (int y = 170; y < 430; y++) {
      for (int x = 490; x < 710; x++) {
        if (nearEdge(x, y)) {
          off += Math.abs(drawn[y * W + x] - seen(x, y));
          n++;
        }
      }
    }
    assertThat(off / n).isLessThan(0.04);
    assertThat(drawn[300 * W + 600]).as("where the bars cross").isLessThan(0.05f);
    assertThat(drawn[250 * W + 400]).as("the wall").isZero();
  }

  private static boolean nearEdge(int x, int y) {
    for (int d = 1; d <= 12; d++) {
      if (seen(x + d, y) != seen(x, y)
          || seen(x - d, y) != seen(x, y)
          || seen(x, y + d) != seen(x, y)
          || seen(x, y - d) != seen(x, y)) {
        return true;
      }
    }
    return false;
  }

  @Test
  void aBoxRoundItFindsTheSame() {
    float[] clicked = draw(click(1), WHOLE);
    float[] boxed = draw(new HandWindow(at(480, 160), at(720, 445), 1, 0, 3), WHOLE);
    double off = 0;
    for (int i = 0; i < boxed.length; i++) {
      off += Math.abs(boxed[i] - clicked[i]);
    }
    assertThat(off / (200 * 240)).isLessThan(0.01);
  }

  @Test
  void aClickOnABarIsAClickIntoTheWindow() {
    float[] onBar = draw(new HandWindow(at(600, 300), at(600, 300), 1, 0, 3), WHOLE);
    assertThat(onBar[250 * W + 650]).isEqualTo(1);
    assertThat(onBar[250 * W + 520]).isEqualTo(1);
    assertThat(onBar[300 * W + 600]).isLessThan(0.05f);
  }

  @Test
  void whatStandsBeforeItCanBelongToIt() {
    float[] drawn = draw(click(0), WHOLE);
    assertThat(drawn[300 * W + 600]).isEqualTo(1);
    assertThat(drawn[200 * W + 544]).as("the rod").isEqualTo(1);
  }

  /** On a wall there is no window: the box about the click stays small. */
  @Test
  void aClickOnTheWallTakesNoMoreThanABox() {
    float[] drawn = draw(new HandWindow(at(200, 300), at(200, 300), 0, 0, 3), WHOLE);
    double share = 0;
    for (float v : drawn) {
      share += v / drawn.length;
    }
    assertThat(share).isBetween(0.001, 0.03);
  }

  @Test
  void aTileIsAPieceOfTheWhole() {
    float[] whole = draw(click(1), WHOLE);
    Raster tile = WHOLE.part(560, 210, 90, 70);
    float[] piece = draw(click(1), tile);
    for (int j = 0; j < tile.height(); j++) {
      for (int i = 0; i < tile.width(); i++) {
        assertThat(piece[j * tile.width() + i]).isEqualTo(whole[(210 + j) * W + 560 + i]);
      }
    }
  }

  /** Half covered pixels hold both lights by share (Porter and Duff 1984). */
  @Test
  void aMixtureOfTwoLightsIsSharedOut() {
    for (double share : new double[] {0, 0.25, 0.5, 1}) {
      float light = (float) (1 + share * (0.8 * 10 - 1));
      assertThat((double) HandWindow.view(light, 1, 10)).isCloseTo(share, within(1e-5));
    }
    assertThat(HandWindow.view(2, 2, 10)).as("a dark tree, nothing before it").isEqualTo(1);
  }

  @Test
  void limitsAreNamed() {
    assertThatThrownBy(() -> new HandWindow(at(1, 1), at(2, 2), 1.2, 0, 3))
        .hasMessageContaining("in front");
  }
}
