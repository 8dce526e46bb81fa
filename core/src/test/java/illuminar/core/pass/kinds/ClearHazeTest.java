package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.TestRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.air.HazyView;
import illuminar.core.analysis.air.LevelGround;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Stops;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Outline;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * Koschmieder's law, 1924, on an invented plain seen through known haze: object · t + air · (1 −
 * t), t falling with the distance, which grows as 1 / (row − horizon). The sky is the airlight, as
 * it is at the horizon on any day and everywhere when it is overcast.
 */
class ClearHazeTest {
  private static final int W = 300;
  private static final int H = 200;
  private static final int SKY_ENDS = 60;
  private static final double HORIZON = 56;
  private static final double THICKNESS = 25;
  private static final double[] AIR = {0.42, 0.45, 0.5};
  private static final double[] GREEN = {0.8, 1, 0.5};
  private static final Raster WHOLE = Raster.whole(W, H, 1);

  private static final Analysis HAZY = view(ClearHazeTest::hazy);
  private static final Picture CLEAR = picture(view(ClearHazeTest::clear), "all");
  private static final Picture BEFORE = picture(HAZY, "all");

  private static double clear(int x, int y, int c) {
    return y < SKY_ENDS ? AIR[c] : ((x / 6 + y / 6) % 3 == 0 ? 0.01 : 0.12) * GREEN[c];
  }

  private static double through(double row) {
    return row < SKY_ENDS ? 1 : Math.exp(-THICKNESS / (row - HORIZON));
  }

  private static double hazy(int x, int y, int c) {
    double t = through(y);
    return clear(x, y, c) * t + AIR[c] * (1 - t);
  }

  private static Analysis view(TestRoom.Light scene) {
    return new Analysis(
        new Frames(
            List.of(TestRoom.frame("a", Role.AMBIENT, 0, W, H, scene)), "a", TestRoom.response()));
  }

  private static Region rows(String id, double from, double to) {
    List<Point> corners =
        List.of(new Point(0, from), new Point(1, from), new Point(1, to), new Point(0, to));
    Part part = new Part("o", Part.Combine.ADD, new Outline(corners));
    return new Region(id, id, List.of(part), 0, false);
  }

  private static Picture picture(Analysis view, String region, Move... moves) {
    List<Pass> passes =
        java.util.Arrays.stream(moves)
            .map(m -> new Pass("p", true, m, new Where(region, false), Gate.ALL, 1, ""))
            .toList();
    Recipe recipe =
        new Recipe(
            new Ground.OneFrame("a"), List.of(rows("all", 0, 1), rows("upper", 0, 0.4)), passes);
    return new PreviewSession(view, new RenderCache(20_000_000)).picture(recipe, WHOLE);
  }

  private static double apart(Picture a, Picture b, int top, int end) {
    return Apart.within(a, b, 10, top, W - 10, end, 3);
  }

  @Test
  void hazeIsClearedAndTheSkyStays() {
    Picture after = picture(HAZY, "all", new ClearHaze(0.8, 1, 1, 0));
    assertThat(apart(after, CLEAR, 75, 190)).isLessThan(0.4 * apart(BEFORE, CLEAR, 75, 190));
    assertThat(apart(after, CLEAR, 5, 48)).isLessThan(1);
    Picture mist = picture(HAZY, "all", new ClearHaze(-0.5, 1, 1, 0));
    assertThat(apart(mist, CLEAR, 75, 190)).isGreaterThan(apart(BEFORE, CLEAR, 75, 190));
  }

  @Test
  void outsideTheRegionNothingIsTouched() {
    Picture after = picture(HAZY, "upper", new ClearHaze(1, 1, 0.5, -60));
    assertThat(apart(after, BEFORE, 75, 115)).isGreaterThan(3);
    assertThat(apart(after, BEFORE, 122, 198)).isZero();
  }

  /** What is looked for before anything is cleared, against what the plain was made with. */
  @Test
  void horizonAirlightAndTransmissionAreFound() {
    Raster small = HAZY.small();
    int w = small.width();
    float[] region = new float[small.pixels()];
    float[][] light = new float[3][small.pixels()];
    for (int i = 0; i < region.length; i++) {
      region[i] = 1;
      for (int c = 0; c < 3; c++) {
        light[c][i] = (float) hazy((int) small.fullX(i % w), (int) small.fullY(i / w), c);
      }
    }
    HazyView found = HazyView.of(light, region, small);
    // haze leaves the first rows of the land as light as the sky, and they lend it their colour
    assertThat(small.fullY(found.horizon())).isBetween(SKY_ENDS - 3.0, 72.0);
    for (int c = 0; c < 3; c++) {
      assertThat((double) found.air()[c]).isCloseTo(AIR[c], within(0.12 * AIR[c]));
      assertThat(found.air()[c] / found.air()[1])
          .isCloseTo((float) (AIR[c] / AIR[1]), within(0.06f));
    }
    LevelGround land = found.land().orElseThrow();
    for (int row = 80; row < H; row += 20) {
      assertThat((double) land.through(row)).as("row %d", row).isCloseTo(through(row), within(0.1));
    }
    // the sky is spared as far as it is guarded
    int sky = 10 * w + w / 2;
    assertThat(found.through(1).data()[sky]).isGreaterThan(0.95f);
    assertThat(found.through(0).data()[sky]).isLessThan(0.2f);
  }

  /** Clearing hardens what it clears; its own local contrast takes that back, where haze was. */
  @Test
  void localContrastOfItsOwnFollowsTheHaze() {
    Picture plain = picture(HAZY, "all", new ClearHaze(0.8, 1, 1, 0));
    Picture soft = picture(HAZY, "all", new ClearHaze(0.8, 1, 1, -60));
    Picture hard = picture(HAZY, "all", new ClearHaze(0.8, 1, 1, 60));
    double far = texture(plain, 75, 95);
    assertThat(texture(soft, 75, 95)).isLessThan(0.95 * far);
    assertThat(texture(hard, 75, 95)).isGreaterThan(1.05 * far);
    double farther = 1 - texture(soft, 75, 95) / far;
    double near = 1 - texture(soft, 170, 190) / texture(plain, 170, 190);
    assertThat(near).isLessThan(0.5 * farther);
    // the sky and the tone of the land at large stay
    assertThat(apart(soft, plain, 5, 48)).isLessThan(0.3);
    assertThat(tone(soft, 80, 190)).isCloseTo(tone(plain, 80, 190), within(0.15));
  }

  /** Colours about their luminance (its definition): the luminance stays, the chroma falls. */
  @Test
  void saturationOfItsOwnFollowsTheHaze() {
    Picture plain = picture(HAZY, "all", new ClearHaze(0.8, 1, 1, 0));
    Picture pale = picture(HAZY, "all", new ClearHaze(0.8, 1, 0.5, 0));
    assertThat(chroma(pale, 80) / chroma(plain, 80))
        .isLessThan(chroma(pale, 180) / chroma(plain, 180));
    assertThat(chroma(pale, 80)).isLessThan(0.85 * chroma(plain, 80));
  }

  /** Mean difference of neighbours six pixels apart, stops. */
  private static double texture(Picture p, int top, int end) {
    double sum = 0;
    int n = 0;
    for (int y = top; y < end; y++) {
      for (int x = 12; x < W - 12; x++) {
        int i = y * W + x;
        sum += Math.abs(Stops.of(p.luminanceAt(i)) - Stops.of(p.luminanceAt(i + 6)));
        n++;
      }
    }
    return sum / n;
  }

  private static double tone(Picture p, int top, int end) {
    double sum = 0;
    for (int i = top * W; i < end * W; i++) {
      sum += Stops.of(p.luminanceAt(i));
    }
    return sum / ((end - top) * W);
  }

  private static double chroma(Picture p, int row) {
    double sum = 0;
    for (int i = row * W; i < row * W + W; i++) {
      sum += Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]).chroma();
    }
    return sum / W;
  }
}
