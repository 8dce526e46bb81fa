package illuminar.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.geometry.Crop;
import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Laid;
import illuminar.core.geometry.Projection;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Detail;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A picture that is turned, set upright and cut is delivered as it is seen. */
class FinishedPictureTest {
  private static final Analysis ROOM = new TestRoom(720, 480).analysis();
  private static final Geometry TILTED =
      new Geometry(2.2, 3.5, -1.5, 24, 2, 0.5, 0.03, -0.02, Crop.NONE);

  private static Recipe recipe(Geometry geometry) {
    Pass detail = new Pass("d", true, new Detail(30, 0, 0), Where.EVERYWHERE, Gate.ALL, 1, "");
    return new Recipe(new Ground.OneFrame("a1"), List.of(), List.of(detail)).with(geometry);
  }

  private static Picture delivered(Recipe recipe, double scale, int tileWidth, int tileHeight) {
    return delivered(recipe, scale, OutputSharpness.NONE, tileWidth, tileHeight);
  }

  private static Picture delivered(
      Recipe recipe, double scale, OutputSharpness sharpness, int tileWidth, int tileHeight) {
    Raster whole = Projection.of(recipe.geometry(), 720, 480).whole(scale);
    Picture out = Picture.of(whole.width(), whole.height());
    new DeliveryRender(ROOM)
        .deliver(
            recipe,
            scale,
            sharpness,
            tileWidth,
            tileHeight,
            (tile, p) -> p.into(out, 0, 0, tile.x(), tile.y(), tile.width(), tile.height()));
    return out;
  }

  private static Picture seen(Recipe recipe, double scale) {
    PreviewSession session = new PreviewSession(ROOM, new RenderCache(50_000_000));
    Laid laid = Laid.of(recipe.geometry(), 720, 480);
    return session.finished(recipe, laid, laid.projection().whole(scale), "", () -> true);
  }

  @Test
  void deliveriesDoNotDependOnTilesAndAreWhatIsSeenAtFullSize() {
    Recipe recipe = recipe(TILTED);
    Picture one = delivered(recipe, 1, 2000, 2000);
    assertThat(delivered(recipe, 1, 128, 96).g()).isEqualTo(one.g());
    assertThat(seen(recipe, 1).g()).isEqualTo(one.g());
  }

  /**
   * Sharper by the slopes it has; halos go no farther beyond what is about them than is allowed.
   */
  @Test
  void aSmallerDeliveryIsSharpenedInItsOwnPixels() {
    Recipe recipe = recipe(TILTED);
    Picture soft = delivered(recipe, 0.5, OutputSharpness.NONE, 2000, 2000);
    Picture screen = delivered(recipe, 0.5, OutputSharpness.SCREEN, 2000, 2000);
    Picture print = delivered(recipe, 0.5, OutputSharpness.PRINT, 2000, 2000);
    assertThat(slopes(screen)).isGreaterThan(1.03 * slopes(soft));
    assertThat(slopes(print)).isGreaterThan(1.03 * slopes(screen));
    assertThat(delivered(recipe, 0.5, OutputSharpness.PRINT, 64, 48).g()).isEqualTo(print.g());
    int w = soft.width();
    for (int y = 2; y < soft.height() - 2; y++) {
      for (int x = 2; x < w - 2; x++) {
        double least = 100;
        double most = 0;
        for (int k = 0; k < 9; k++) {
          double l = l(soft, (y + k / 3 - 1) * w + x + k % 3 - 1);
          least = Math.min(least, l);
          most = Math.max(most, l);
        }
        double room = 0.08 * (most - least) + 0.05;
        assertThat(l(print, y * w + x)).isBetween(least - room, most + room);
      }
    }
  }

  private static double l(Picture p, int i) {
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]).l();
  }

  private static double slopes(Picture p) {
    double sum = 0;
    for (int i = 1; i < p.g().length; i++) {
      sum += Math.abs(l(p, i) - l(p, i - 1));
    }
    return sum;
  }

  /** CIEDE2000 mean 0.5 and 99th percentile 2.0 are the product's own bounds, no source. */
  @Test
  void aPreviewIsTheDeliveryMadeSmaller() {
    Recipe recipe = recipe(TILTED);
    Picture full = delivered(recipe, 1, 256, 256);
    Picture small = seen(recipe, 0.5);
    double[] apart = new double[small.width() * small.height()];
    for (int y = 0; y < small.height(); y++) {
      for (int x = 0; x < small.width(); x++) {
        int i = y * small.width() + x;
        float[] mean = new float[3];
        for (int k = 0; k < 4; k++) {
          int j =
              Math.min(full.height() - 1, 2 * y + k / 2) * full.width()
                  + Math.min(full.width() - 1, 2 * x + k % 2);
          for (int c = 0; c < 3; c++) {
            mean[c] += full.channel(c)[j] / 4;
          }
        }
        apart[i] =
            Lab.ofWork(mean[0], mean[1], mean[2])
                .difference(Lab.ofWork(small.r()[i], small.g()[i], small.b()[i]));
      }
    }
    Arrays.sort(apart);
    assertThat(Arrays.stream(apart).average().orElseThrow()).isLessThan(0.5);
    assertThat(apart[(int) (apart.length * 0.99)]).isLessThan(2);
  }

  @Test
  void aCropIsDeliveredAsItsPixels() {
    Recipe whole = recipe(Geometry.NONE);
    Recipe cut = recipe(Geometry.NONE.with(new Crop(0, 0.1, 0.05, 0.5, 0.4)));
    Picture all = delivered(whole, 1, 512, 512);
    Picture part = delivered(cut, 1, 512, 512);
    assertThat(part.width()).isEqualTo(360);
    assertThat(part.height()).isEqualTo(288);
    for (int y = 0; y < 288; y += 7) {
      for (int x = 0; x < 360; x += 5) {
        assertThat((double) part.r()[y * 360 + x])
            .isCloseTo(all.r()[(y + 36) * 720 + x + 72], within(1e-5));
      }
    }
  }

  /** A card is looked at from farther away: twice the bound of a preview, no source. */
  @Test
  void aCardIsNearlyThePreview() {
    Recipe recipe = recipe(TILTED);
    Picture seen = seen(recipe, 0.25);
    Laid laid = Laid.of(recipe.geometry(), 720, 480);
    Picture card =
        new PreviewSession(ROOM, new RenderCache(50_000_000))
            .card(recipe, laid, laid.projection().whole(0.25));
    assertThat(card.width()).isEqualTo(seen.width());
    double sum = 0;
    for (int i = 0; i < seen.g().length; i++) {
      sum +=
          Lab.ofWork(card.r()[i], card.g()[i], card.b()[i])
              .difference(Lab.ofWork(seen.r()[i], seen.g()[i], seen.b()[i]));
    }
    assertThat(sum / seen.g().length).isLessThan(1.0);
  }
}
