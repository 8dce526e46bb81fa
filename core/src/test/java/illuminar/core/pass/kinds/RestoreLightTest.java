package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Stops;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Burnt light restored, in the invented test room whose window burns in the frame at +3. */
class RestoreLightTest {
  private static final Analysis ROOM = new TestRoom(360, 240).analysis();
  private static final Raster WHOLE = Raster.whole(360, 240, 1);
  private static final Region BURNT =
      new Region(
          "b",
          "Burnt",
          List.of(new Part("p", Part.Combine.ADD, new BurntLight("a1", 1, 20))),
          0,
          false);

  private static Picture picture(Move... moves) {
    List<Pass> passes = new java.util.ArrayList<>();
    for (Move m : moves) {
      passes.add(new Pass("p", true, m, new Where("b", false), Gate.ALL, 1, ""));
    }
    Recipe recipe = new Recipe(new Ground.OneFrame("a1"), List.of(BURNT), passes);
    return new PreviewSession(ROOM, new RenderCache(20_000_000)).picture(recipe, WHOLE);
  }

  /** Tone in stops below white; the sky is lighter at the top of the window. */
  private static float tone(Picture p, int x, int y) {
    return Stops.of(p.luminanceAt(y * 360 + x));
  }

  @Test
  void theBrightestStandsWhereAskedAndNothingIsBurntAnyMore() {
    Picture before = picture();
    assertThat(tone(before, 130, 60)).as("burnt").isGreaterThan(-0.05f);
    Picture after = picture(new RestoreLight("w", -1.2, -0.3));
    float most = -9;
    for (int y = 56; y < 100; y++) {
      for (int x = 112; x < 175; x++) {
        most = Math.max(most, tone(after, x, y));
      }
    }
    // the camera of the test room shows light to the power 0.8
    assertThat(most).isCloseTo(-0.3f * 0.8f, within(0.12f));
    assertThat(tone(after, 130, 150)).as("lower sky stays darker").isLessThan(most - 0.1f);
    assertThat(tone(after, 30, 120)).as("the wall").isEqualTo(tone(before, 30, 120));
  }

  /** A ground that already holds the light, here the window frame itself, is not lifted by it. */
  @Test
  void nothingBecomesLighter() {
    Pass pass =
        new Pass(
            "p", true, new RestoreLight("w", -1.2, -0.1), new Where("b", false), Gate.ALL, 1, "");
    for (String ground : List.of("w", "a0", "a1")) {
      Recipe bare = new Recipe(new Ground.OneFrame(ground), List.of(BURNT), List.of());
      PreviewSession session = new PreviewSession(ROOM, new RenderCache(20_000_000));
      Picture before = session.picture(bare, WHOLE);
      Picture after = session.picture(bare.withPasses(List.of(pass)), WHOLE);
      for (int i = 0; i < before.r().length; i++) {
        assertThat(after.luminanceAt(i)).isLessThanOrEqualTo(before.luminanceAt(i) + 1e-4f);
      }
    }
  }

  /**
   * Burnt light that is left out of the region, such as a pane beside a reveal, does not shine into
   * the pixels beside it.
   */
  @Test
  void whatIsLeftOutDoesNotShineIn() {
    Region left =
        new Region(
            "l",
            "Left of the bar",
            List.of(
                new Part("p", Part.Combine.ADD, new BurntLight("a1", 1, 20)),
                new Part("w", Part.Combine.TAKE_AWAY, new WindowFinder(0))),
            0,
            false);
    Pass pass =
        new Pass(
            "p", true, new RestoreLight("w", -1.2, -0.1), new Where("l", false), Gate.ALL, 1, "");
    Recipe bare = new Recipe(new Ground.OneFrame("a1"), List.of(left), List.of());
    PreviewSession session = new PreviewSession(ROOM, new RenderCache(20_000_000));
    Picture before = session.picture(bare, WHOLE);
    Picture after = session.picture(bare.withPasses(List.of(pass)), WHOLE);
    // the wall two pixels left of the panes at x = 108
    for (int y = 70; y < 140; y++) {
      assertThat(tone(after, 105, y)).isCloseTo(tone(before, 105, y), within(0.03f));
    }
  }

  /** The order of light is kept: what was brighter in the dark frame is brighter now. */
  @Test
  void detailKeepsItsOrder() {
    Picture dark = new PreviewSession(ROOM, new RenderCache(20_000_000)).frame("w", WHOLE);
    Picture after = picture(new RestoreLight("w", -1.2, -0.1));
    for (int x = 115; x < 170; x += 3) {
      for (int y = 60; y < 96; y += 3) {
        float d = tone(dark, x, y) - tone(dark, x + 3, y + 3);
        float a = tone(after, x, y) - tone(after, x + 3, y + 3);
        if (Math.abs(d) > 0.03) {
          assertThat(Math.signum(a)).isEqualTo(Math.signum(d));
        }
      }
    }
  }

  /** Tiles of any size give the same pixels. */
  @Test
  void tilesMakeNoDifference() {
    Pass pass =
        new Pass(
            "p", true, new RestoreLight("w", -1.2, -0.1), new Where("b", false), Gate.ALL, 1, "");
    Recipe recipe = new Recipe(new Ground.OneFrame("a1"), List.of(BURNT), List.of(pass));
    Picture whole = new PreviewSession(ROOM, new RenderCache(20_000_000)).picture(recipe, WHOLE);
    float[] tiled = new float[whole.g().length];
    new DeliveryRender(ROOM)
        .deliver(
            recipe,
            1,
            53,
            71,
            (tile, pixels) -> {
              for (int y = 0; y < tile.height(); y++) {
                System.arraycopy(
                    pixels.g(),
                    y * tile.width(),
                    tiled,
                    (tile.y() + y) * 360 + tile.x(),
                    tile.width());
              }
            });
    assertThat(tiled).isEqualTo(whole.g());
  }

  @Test
  void oddNumbersAndFramesAreRefused() {
    assertThatThrownBy(() -> new RestoreLight("w", 1, 0)).hasMessageContaining("from");
    assertThatThrownBy(() -> picture(new RestoreLight("gone", -1, 0))).hasMessageContaining("gone");
  }
}
