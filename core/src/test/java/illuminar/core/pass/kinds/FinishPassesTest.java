package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.geometry.Crop;
import illuminar.core.geometry.Geometry;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import java.util.Random;
import org.bytedeco.javacpp.indexer.FloatIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a picture is finished with: vignette, sharpening, smoothing, warm and cool, noise. */
class FinishPassesTest {
  private static final int W = Painted.W;
  private static final int H = Painted.H;
  private static final Analysis GREY = Painted.view((x, y, c) -> 128);

  /** A dark and a light field with a sharp edge, within the tones that are sharpened. */
  private static final Analysis EDGE = Painted.view((x, y, c) -> x < 120 ? 110 : 150);

  /** As it is added from the menu, with the tones that it begins with. */
  private static Picture begun(Analysis view, Move move, Geometry geometry) {
    Pass pass = new Pass("p", true, move, Where.EVERYWHERE, PassKind.of(move).gate(), 1, "");
    Recipe recipe = new Recipe(new Ground.OneFrame("a"), List.of(), List.of(pass)).with(geometry);
    return new PreviewSession(view, new RenderCache(20_000_000))
        .picture(recipe, Raster.whole(W, H, 1));
  }

  private static double darker(Picture p, int x, int y) {
    return Painted.stops(Painted.picture(GREY), x, y) - Painted.stops(p, x, y);
  }

  /** Our own curve: nothing at the centre, the amount at the farthest corner. */
  @Test
  void aVignetteDarkensTheCornersByWhatWasAskedForAndNothingInTheMiddle() {
    Picture p = begun(GREY, new Vignette(1, 0.8, 0, 0.5, 0.5), Geometry.NONE);
    assertThat(darker(p, W / 2, H / 2)).isCloseTo(0, within(1e-3));
    assertThat(darker(p, 0, 0)).isCloseTo(1, within(0.03));
    assertThat(darker(p, W - 1, H - 1)).isCloseTo(1, within(0.03));
    double last = 0;
    for (int x = W / 2; x < W; x += 8) {
      assertThat(darker(p, x, H / 2)).isGreaterThanOrEqualTo(last - 1e-4);
      last = darker(p, x, H / 2);
    }
  }

  @Test
  void aVignetteStandsOnItsSubjectAndIsRoundIfAskedTo() {
    Picture aside = begun(GREY, new Vignette(1, 1, 0, 0.2, 0.3), Geometry.NONE);
    assertThat(darker(aside, (int) (0.2 * W), (int) (0.3 * H))).isCloseTo(0, within(0.01));
    assertThat(darker(aside, W - 1, H - 1)).isCloseTo(1, within(0.03));
    assertThat(darker(aside, 0, 0)).isLessThan(0.4);
    Picture round = begun(GREY, new Vignette(1, 1, 1, 0.5, 0.5), Geometry.NONE);
    assertThat(darker(round, W / 2 + 60, H / 2))
        .isCloseTo(darker(round, W / 2, H / 2 + 60), within(0.01));
    Picture wide = begun(GREY, new Vignette(1, 1, 0, 0.5, 0.5), Geometry.NONE);
    assertThat(darker(wide, W / 2 + 60, H / 2))
        .isCloseTo(darker(wide, W / 2, H / 2 + 40), within(0.01));
  }

  /** What is cut away has no corners: those of the picture that is left are darkened. */
  @Test
  void aVignetteFollowsTheCrop() {
    Geometry cut = new Geometry(0, 0, 0, 24, 0, 0, 0, 0, new Crop(0, 0.25, 0, 0.5, 0.5));
    Picture p = begun(GREY, new Vignette(1, 0.8, 0, 0.5, 0.375), cut);
    assertThat(darker(p, (int) (0.25 * W) + 1, 1)).isCloseTo(1, within(0.06));
    assertThat(darker(p, (int) (0.75 * W) - 2, 1)).isCloseTo(1, within(0.06));
  }

  /** CRAFT: nothing below 76, full from 100 to 160, nothing above 188 of 255. */
  @Test
  void onlyMidtonesAreSharpened() {
    Analysis weave = Painted.view((x, y, c) -> 8 + x + (y % 2 == 0 ? 5 : 0));
    Picture before = Painted.picture(weave);
    Picture after = begun(weave, new Sharpen(1.25, 1.2, 1, 1, 1), Geometry.NONE);
    for (int x = 2; x < W - 2; x++) {
      double was = Painted.stops(before, x, 80) - Painted.stops(before, x, 81);
      double is = Painted.stops(after, x, 80) - Painted.stops(after, x, 81);
      int code = 8 + x;
      if (code < 70 || code > 188) {
        assertThat(is).as("%d", code).isCloseTo(was, within(1e-4));
      } else if (code > 101 && code < 154) {
        assertThat(is).as("%d", code).isGreaterThan(1.5 * was);
      }
    }
  }

  /** The unsharp mask with the Gaussian of the reference library, on L* (CIE 15). */
  @Test
  void sharpeningIsTheUnsharpMask() {
    Random random = new Random(4);
    int[] codes = random.ints(W * H, 110, 150).toArray();
    Analysis view = Painted.view((x, y, c) -> codes[y * W + x]);
    Picture before = Painted.picture(view);
    Mat l = new Mat(H, W, opencv_core.CV_32F);
    FloatIndexer at = l.createIndexer();
    for (int i = 0; i < W * H; i++) {
      at.put(i / W, i % W, (float) Painted.lab(before, i % W, i / W).l());
    }
    Mat mean = new Mat();
    opencv_imgproc.GaussianBlur(l, mean, new Size(9, 9), 1.2);
    FloatIndexer blurred = mean.createIndexer();
    Picture after = Painted.picture(view, new Sharpen(0.5, 1.2, 1, 1, 1));
    for (int i = 20 * W + 20; i < (H - 20) * W; i += 37) {
      int x = i % W;
      int y = i / W;
      if (x > 10 && x < W - 10) {
        double expected = at.get(y, x) + 0.5 * (at.get(y, x) - blurred.get(y, x));
        assertThat(Painted.lab(after, x, y).l()).isCloseTo(expected, within(0.1));
      }
    }
  }

  /** The limit is the user's own number. */
  @ParameterizedTest
  @ValueSource(doubles = {0, 0.1, 0.3})
  void halosStayWithinTheirLimit(double limit) {
    Picture p = Painted.picture(EDGE, new Sharpen(3, 1.2, 1, 1, limit));
    double low = Painted.lab(p, 40, 80).l();
    double high = Painted.lab(p, 200, 80).l();
    for (int x = 100; x < 140; x++) {
      double l = Painted.lab(p, x, 80).l();
      assertThat(l)
          .isBetween(low - limit * (high - low) - 0.05, high + limit * (high - low) + 0.05);
    }
  }

  @Test
  void eachSideOfAnEdgeHasItsOwnAmount() {
    Picture light = Painted.picture(EDGE, new Sharpen(1, 1.2, 1, 0, 1));
    assertThat(Painted.lab(light, 119, 80).l())
        .isCloseTo(Painted.lab(light, 40, 80).l(), within(0.05));
    assertThat(Painted.lab(light, 120, 80).l()).isGreaterThan(Painted.lab(light, 200, 80).l() + 1);
  }

  /** Ripples of 2 % go, an edge of 1.5 stops stays, and nothing is seen beside it. */
  @Test
  void smoothingCalmsAndKeepsEdges() {
    Random random = new Random(8);
    int[] ripple = random.ints(W * H, -3, 4).toArray();
    Analysis sky =
        Painted.view((x, y, c) -> (x < 120 ? 100 : 170) + ripple[y * W + x] * (c == 1 ? 1 : -1));
    Picture before = Painted.picture(sky);
    Picture after = Painted.picture(sky, new Smooth(0.02, 0.3));
    assertThat(unrest(after)).isLessThan(0.35 * unrest(before));
    double step = Painted.stops(after, 123, 80) - Painted.stops(after, 116, 80);
    assertThat(step)
        .isCloseTo(Painted.stops(after, 200, 80) - Painted.stops(after, 40, 80), within(0.06));
  }

  private static double unrest(Picture p) {
    double sum = 0;
    for (int y = 40; y < 120; y++) {
      for (int x = 20; x < 90; x++) {
        sum += Painted.lab(p, x, y).difference(Painted.lab(p, x + 1, y));
      }
    }
    return sum;
  }

  /** Hue and chroma of CIE 15; greys have neither. */
  @Test
  void warmAndCoolAreTurnedApartAndGreyStays() {
    Picture before = Painted.picture(Painted.COLOURS);
    Picture warm = Painted.picture(Painted.COLOURS, new WarmCool(1.5, 10, 1, 0));
    Picture cool = Painted.picture(Painted.COLOURS, new WarmCool(1, 0, 0.5, -10));
    Lab red = Painted.lab(before, 24 + 48, 50);
    Lab blue = Painted.lab(before, 24 + 3 * 48, 50);
    assertThat(Painted.lab(warm, 24 + 48, 50).chroma() / red.chroma()).isCloseTo(1.5, within(0.02));
    assertThat(hue(Painted.lab(warm, 24 + 48, 50)) - hue(red)).isCloseTo(10, within(0.5));
    assertThat(Painted.lab(warm, 24 + 3 * 48, 50).difference(blue)).isLessThan(0.6);
    assertThat(Painted.lab(cool, 24 + 3 * 48, 50).chroma() / blue.chroma())
        .isCloseTo(0.5, within(0.02));
    assertThat(Painted.lab(cool, 24 + 48, 50).difference(red)).isLessThan(0.6);
    Lab grey = Painted.lab(before, 216, 50);
    assertThat(Painted.lab(warm, 216, 50).difference(grey)).isLessThan(0.02);
    assertThat(Painted.lab(cool, 216, 50).difference(grey)).isLessThan(0.02);
  }

  private static double hue(Lab lab) {
    return Math.toDegrees(Math.atan2(lab.b(), lab.a()));
  }

  private static Analysis noisy(int seed) {
    Random random = new Random(seed);
    double[] noise = random.doubles(W * H * 3).map(u -> 0).toArray();
    for (int i = 0; i < noise.length; i++) {
      noise[i] = 6 * random.nextGaussian();
    }
    return Painted.view(
        (x, y, c) ->
            (int) Math.round(Math.max(0, (x < 120 ? 60 : 190) + noise[3 * (y * W + x) + c])));
  }

  private static double spread(Picture p, int left) {
    double sum = 0;
    for (int y = 20; y < 140; y++) {
      for (int x = left; x < left + 80; x++) {
        sum += Math.abs(Painted.stops(p, x, y) - Painted.stops(p, x + 1, y));
      }
    }
    return sum;
  }

  /** CRAFT: full below about 109 of 255, gone at 128. */
  @Test
  void noiseGoesInTheDarksAlone() {
    Analysis view = noisy(6);
    Picture before = Painted.picture(view);
    Picture after = begun(view, new ReduceNoise(1, 1, 0), Geometry.NONE);
    assertThat(spread(after, 20)).isLessThan(0.15 * spread(before, 20));
    for (int y = 20; y < 140; y += 7) {
      for (int x = 130; x < 220; x += 5) {
        assertThat(after.g()[y * W + x]).isEqualTo(before.g()[y * W + x]);
      }
    }
    Picture grainy = begun(view, new ReduceNoise(1, 1, 0.5), Geometry.NONE);
    assertThat(spread(grainy, 20)).isBetween(0.35 * spread(before, 20), 0.6 * spread(before, 20));
  }

  /** The measure of the watch: an edge without noise keeps its shape. */
  @Test
  void noiseLeavesEdgesSharp() {
    Picture after = Painted.picture(noisy(6), new ReduceNoise(1, 1, 0));
    double low = Painted.stops(after, 80, 80);
    double high = Painted.stops(after, 160, 80);
    assertThat(Painted.stops(after, 118, 80)).isCloseTo(low, within(0.12));
    assertThat(Painted.stops(after, 121, 80)).isCloseTo(high, within(0.12));
  }

  @Test
  void numbersOutOfRangeAreNamed() {
    assertThatThrownBy(() -> new Vignette(3, 0.8, 0, 0.5, 0.5)).hasMessageContaining("corners");
    assertThatThrownBy(() -> new Sharpen(1, 9, 1, 1, 0)).hasMessageContaining("Radius");
    assertThatThrownBy(() -> new Smooth(1, 0.2)).hasMessageContaining("Reach");
    assertThatThrownBy(() -> new ReduceNoise(3, 1, 0)).hasMessageContaining("brightness");
    assertThatThrownBy(() -> new WarmCool(1, 90, 1, 0)).hasMessageContaining("Hue of warm");
  }
}
