package illuminar.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Detail;
import illuminar.core.pass.kinds.ReduceNoise;
import illuminar.core.pass.kinds.Sharpen;
import illuminar.core.pass.kinds.Smooth;
import illuminar.core.pass.kinds.Tone;
import illuminar.core.pass.kinds.Vignette;
import illuminar.core.picture.AreaResize;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Passes that look at the pixels beside those that they change; the product's own bounds. */
class NeighboursTest {
  private static final int W = 960;
  private static final int H = 640;
  private static final Analysis ROOM = new TestRoom(W, H).analysis();

  static Stream<Move> moves() {
    return Stream.of(
        new ReduceNoise(1, 1, 0.2),
        new Smooth(0.01, 0.2),
        new Sharpen(1.25, 1.2, 1, 1, 0.15),
        new Detail(30, 20, 25),
        new Vignette(0.8, 0.7, 0.3, 0.4, 0.6));
  }

  /** Between two passes on tones, one of them gated. */
  private static Recipe recipe(Move move) {
    Pass below = new Pass("a", true, new Tone(0.3, 10, 0, 30), Where.EVERYWHERE, Gate.ALL, 1, "");
    Pass pass = new Pass("p", true, move, Where.EVERYWHERE, new Gate(-9, -7, -1, 0), 0.9, "");
    Pass above = new Pass("b", true, new Tone(-0.1, 0, 0, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    return new Recipe(new Ground.OneFrame("a1"), List.of(), List.of(below, pass, above));
  }

  private static Picture delivered(Recipe recipe, int tile) {
    Picture out = Picture.of(W, H);
    new DeliveryRender(ROOM)
        .deliver(
            recipe,
            1,
            tile,
            tile,
            (at, p) -> p.into(out, 0, 0, at.x(), at.y(), at.width(), at.height()));
    return out;
  }

  private static Picture seen(Recipe recipe, Raster raster) {
    return new PreviewSession(ROOM, new RenderCache(50_000_000)).picture(recipe, raster);
  }

  @ParameterizedTest
  @MethodSource("moves")
  void tilesAndCutsMakeNoDifference(Move move) {
    Recipe recipe = recipe(move);
    Picture whole = delivered(recipe, 2000);
    assertThat(delivered(recipe, 200).g()).isEqualTo(whole.g());
    Raster all = Raster.whole(W, H, 1);
    assertThat(seen(recipe, all).g()).isEqualTo(whole.g());
    Raster cut = all.part(101, 83, 150, 90);
    assertThat(seen(recipe, cut).r()).isEqualTo(whole.cut(all, cut).r());
  }

  @ParameterizedTest
  @MethodSource("moves")
  void aPreviewIsTheDeliveryMadeSmaller(Move move) {
    previewed(move, 400);
  }

  /** At a quarter, where noise is reduced in the quick way. */
  @Test
  void aSmallPreviewIsTheDeliveryMadeSmaller() {
    previewed(new ReduceNoise(1, 1, 0.2), 240);
  }

  private static void previewed(Move move, int longEdge) {
    Recipe recipe = recipe(move);
    Picture full = delivered(recipe, 256);
    Raster raster = Raster.fitted(W, H, longEdge);
    Picture preview = seen(recipe, raster);
    Plane[] small = new Plane[3];
    for (int c = 0; c < 3; c++) {
      small[c] = AreaResize.at(new Plane(W, H, full.channel(c)), W, H, raster);
    }
    double[] apart = new double[raster.pixels()];
    for (int i = 0; i < apart.length; i++) {
      apart[i] =
          Lab.ofWork(small[0].data()[i], small[1].data()[i], small[2].data()[i])
              .difference(Lab.ofWork(preview.r()[i], preview.g()[i], preview.b()[i]));
    }
    Arrays.sort(apart);
    assertThat(Arrays.stream(apart).average().orElseThrow()).isLessThan(0.5);
    assertThat(apart[(int) (apart.length * 0.99)]).isLessThan(2);
  }
}
