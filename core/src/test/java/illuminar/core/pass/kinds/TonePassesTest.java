package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
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
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Levels, curve, fill, detail, hue band, wash and glow on pictures known at every pixel. */
class TonePassesTest {
  private static final int W = 240;
  private static final int H = 160;

  /** sRGB codes of a picture, 0 to 255. */
  private interface Scene {
    int code(int x, int y, int c);
  }

  private static Analysis view(Scene scene) {
    byte[] rgb = new byte[W * H * 3];
    for (int i = 0; i < W * H * 3; i++) {
      rgb[i] = (byte) scene.code(i / 3 % W, i / 3 / W, i % 3);
    }
    Frame frame =
        new Frame("a", Role.AMBIENT, 0, Similarity.NONE, Pyramid.of(Codes.of8(W, H, rgb)));
    return new Analysis(new Frames(List.of(frame), "a", Response.srgb()));
  }

  private static Picture picture(Analysis view, Move... moves) {
    Recipe recipe =
        new Recipe(
            new Ground.OneFrame("a"),
            List.of(),
            java.util.Arrays.stream(moves)
                .map(m -> new Pass("p" + m.hashCode(), true, m, Where.EVERYWHERE, Gate.ALL, 1, ""))
                .toList());
    return new PreviewSession(view, new RenderCache(20_000_000))
        .picture(recipe, Raster.whole(W, H, 1));
  }

  private static double[] codes(Picture p, int x, int y) {
    int i = y * W + x;
    double[] s = Space.WORK_TO_SRGB.apply(p.r()[i], p.g()[i], p.b()[i]);
    return new double[] {Srgb.encode(s[0]), Srgb.encode(s[1]), Srgb.encode(s[2])};
  }

  private static Lab lab(Picture p, int x, int y) {
    int i = y * W + x;
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  /** Every grey from left to right. */
  private static final Analysis GREYS = view((x, y, c) -> 8 + x);

  /** Patches of four colours and a grey, each 48 wide. */
  private static final int[][] PATCHES = {
    {60, 120, 50}, {150, 60, 50}, {200, 190, 60}, {70, 90, 160}, {128, 128, 128}
  };

  private static final Analysis COLOURS = view((x, y, c) -> PATCHES[x / 48][c]);

  /** The levels formula on codes (common practice, no source). */
  @ParameterizedTest
  @CsvSource({"1, 0, 1", "0.9, 0.05, 1", "0.8, 0.1, 1.4", "1, 0.02, 0.7"})
  void levelsFollowTheFormulaOnEveryChannel(double white, double black, double gamma) {
    for (Channels on : new Channels[] {Channels.ALL_CHANNELS, Channels.LIGHTNESS}) {
      Picture p = picture(GREYS, new Levels(on, white, black, gamma));
      for (int x = 20; x < W; x += 11) {
        double in = (8 + x) / 255.0;
        if (in < white && in > black + 0.02) {
          double out = Math.pow((in - black) / (white - black), 1 / gamma);
          assertThat(codes(p, x, 50)[1]).as("%s at %.3f", on, in).isCloseTo(out, within(0.004));
        }
      }
    }
  }

  @Test
  void levelsBurnAndBlockBeyondTheirPoints() {
    Picture p = picture(GREYS, new Levels(Channels.LIGHTNESS, 0.7, 0.2, 1));
    assertThat(p.g()[50 * W + 200]).isGreaterThanOrEqualTo(1);
    assertThat(p.g()[50 * W + 20]).isLessThan(0.0002f);
    assertThatThrownBy(() -> new Levels(Channels.LIGHTNESS, 0.3, 0.28, 1))
        .hasMessageContaining("black point");
  }

  /** One channel alone: the others stay as they are, bit for bit nearly. */
  @Test
  void levelsOfOneChannelLeaveTheOthers() {
    double[] before = codes(picture(COLOURS), 24, 50);
    double[] after = codes(picture(COLOURS, new Levels(Channels.GREEN, 1, 0, 1.3)), 24, 50);
    assertThat(after[0]).isCloseTo(before[0], within(1e-3));
    assertThat(after[2]).isCloseTo(before[2], within(1e-3));
    assertThat(after[1]).isCloseTo(Math.pow(before[1], 1 / 1.3), within(0.004));
  }

  /** A curve goes through its points and never overshoots them (Fritsch and Carlson 1980). */
  @Test
  void aCurveGoesThroughItsPointsAndStaysBetweenThem() {
    ToneCurve s =
        new ToneCurve(
            Channels.LIGHTNESS,
            List.of(
                new Point(-8, -8),
                new Point(-5, -5.8),
                new Point(-2.5, -2.5),
                new Point(-1, -0.7),
                new Point(0, 0)));
    for (Point p : s.points()) {
      assertThat(s.at(p.x())).isCloseTo(p.y(), within(1e-9));
    }
    for (double x = -8; x < 0; x += 0.05) {
      assertThat(s.at(x + 0.05)).as("rises at %.2f", x).isGreaterThanOrEqualTo(s.at(x));
    }
    assertThat(s.at(-10)).isEqualTo(-10);
    Picture p = picture(GREYS, s);
    Picture before = picture(GREYS);
    for (int x = 30; x < W; x += 17) {
      double in = Math.log(before.luminanceAt(x)) / Math.log(2);
      double out = Math.log(p.luminanceAt(x)) / Math.log(2);
      assertThat(out).isCloseTo(s.at(in), within(0.004));
    }
  }

  @Test
  void aCurveByLightnessKeepsHueAndSaturationAndOneByChannelsRaisesIt() {
    List<Point> steep = List.of(new Point(-6, -7), new Point(-2, -2), new Point(0, 0));
    for (int k = 0; k < 4; k++) {
      int x = 24 + 48 * k;
      double[] before = codes(picture(COLOURS), x, 50);
      Picture held = picture(COLOURS, new ToneCurve(Channels.LIGHTNESS, steep));
      Picture each = picture(COLOURS, new ToneCurve(Channels.ALL_CHANNELS, steep));
      double ratio = Srgb.decode(before[0]) / Srgb.decode(before[1]);
      double[] after = codes(held, x, 50);
      assertThat(Srgb.decode(after[0]) / Srgb.decode(after[1])).isCloseTo(ratio, within(0.01));
      assertThat(saturation(codes(each, x, 50))).isGreaterThan(saturation(before));
    }
  }

  private static double saturation(double[] code) {
    double most = Math.max(code[0], Math.max(code[1], code[2]));
    return 1 - Math.min(code[0], Math.min(code[1], code[2])) / most;
  }

  @Test
  void aCurveOutOfOrderIsRefused() {
    assertThatThrownBy(
            () -> new ToneCurve(Channels.LIGHTNESS, List.of(new Point(-2, -2), new Point(-3, -3))))
        .hasMessageContaining("dark to light");
    assertThatThrownBy(() -> new ToneCurve(Channels.LIGHTNESS, List.of(new Point(0, 0))))
        .hasMessageContaining("2 to 16");
  }

  /** A dark corner with texture beside a light wall. */
  private static final Analysis CORNER =
      view((x, y, c) -> x < 120 ? 30 + 6 * ((x / 3 + y / 3) % 2) : 180 + 8 * ((x / 3) % 2));

  /** CRAFT: lift only the darkest area (40 to 70 of 100); common practice, no source. */
  @Test
  void fillLiftsTheDarkCornerAloneWithItsTexture() {
    Picture before = picture(CORNER);
    Picture after = picture(CORNER, new Fill(60, -3.5, 0, 1));
    assertThat(stops(after, 60, 80) - stops(before, 60, 80)).isBetween(0.8, 1.3);
    assertThat(stops(after, 200, 80)).isCloseTo(stops(before, 200, 80), within(0.02));
    double texture = stops(before, 60, 81) - stops(before, 63, 81);
    assertThat(stops(after, 60, 81) - stops(after, 63, 81))
        .as("texture")
        .isCloseTo(texture, within(Math.abs(texture) * 0.15));
    Picture crisp = picture(CORNER, new Fill(60, -3.5, 60, 1));
    assertThat(Math.abs(stops(crisp, 60, 81) - stops(crisp, 63, 81)))
        .isGreaterThan(Math.abs(texture) * 1.2);
  }

  /** The tone curve of a fill never turns round, or lifted corners would turn to mud. */
  @ParameterizedTest
  @ValueSource(doubles = {40, 70, 100})
  void whatIsFilledStaysInOrder(double amount) {
    Fill fill = new Fill(amount, -3.5, 0, 1);
    double last = Double.NEGATIVE_INFINITY;
    for (double s = -14; s < 0; s += 0.05) {
      double out = s + 2 * amount / 100 * fill.share((float) s);
      assertThat(out).as("at %.2f", s).isGreaterThan(last);
      last = out;
    }
  }

  private static double stops(Picture p, int x, int y) {
    return Stops.of(p.luminanceAt(y * W + x));
  }

  /** Local contrast has no halo: beside an edge the wall is no lighter than farther off. */
  @ParameterizedTest
  @ValueSource(doubles = {60, 100, -60})
  void localContrastLeavesNoHaloBesideAnEdge(double contrast) {
    Picture before = picture(CORNER);
    Picture after = picture(CORNER, new Detail(contrast, 0));
    double far = stops(after, 220, 80) - stops(before, 220, 80);
    for (int x = 123; x < 150; x += 6) {
      assertThat(stops(after, x, 80) - stops(before, x, 80)).isCloseTo(far, within(0.12));
    }
  }

  @Test
  void fineDetailRaisesTextureAndSoftensBelowNothing() {
    double before = Math.abs(stops(picture(CORNER), 60, 81) - stops(picture(CORNER), 63, 81));
    Picture crisp = picture(CORNER, new Detail(0, 80));
    Picture soft = picture(CORNER, new Detail(0, -80));
    assertThat(Math.abs(stops(crisp, 61, 82) - stops(crisp, 64, 82))).isGreaterThan(1.2 * before);
    assertThat(Math.abs(stops(soft, 61, 82) - stops(soft, 64, 82))).isLessThan(0.8 * before);
  }

  /** CRAFT: greens saturation down by about 45 %, and darker; hue angles of CIE 15. */
  @Test
  void aHueBandChangesItsOwnHuesAlone() {
    Picture before = picture(COLOURS);
    double hue = Math.toDegrees(Math.atan2(lab(before, 24, 50).b(), lab(before, 24, 50).a()));
    Picture after = picture(COLOURS, new HueBand(hue, 40, 0.55, -4, 0));
    assertThat(lab(after, 24, 50).chroma() / lab(before, 24, 50).chroma())
        .isCloseTo(0.55, within(0.01));
    assertThat(lab(after, 24, 50).l()).isCloseTo(lab(before, 24, 50).l() - 4, within(0.1));
    for (int k : new int[] {1, 3, 4}) {
      assertThat(lab(after, 24 + 48 * k, 50).difference(lab(before, 24 + 48 * k, 50)))
          .as("patch %d", k)
          .isLessThan(0.1);
    }
    Picture turned = picture(COLOURS, new HueBand(hue, 40, 1, 0, 20));
    Lab t = lab(turned, 24, 50);
    assertThat(Math.toDegrees(Math.atan2(t.b(), t.a()))).isCloseTo(hue + 20, within(0.5));
  }

  @Test
  void aWashGivesGreyItsColourAndKeepsLightness() {
    Picture before = picture(COLOURS);
    Picture after = picture(COLOURS, new Wash(75, 20, 1));
    Lab grey = lab(after, 216, 50);
    assertThat(grey.chroma()).isCloseTo(20, within(0.2));
    assertThat(Math.toDegrees(Math.atan2(grey.b(), grey.a()))).isCloseTo(75, within(0.5));
    for (int k = 0; k < 5; k++) {
      assertThat(lab(after, 24 + 48 * k, 50).l())
          .isCloseTo(lab(before, 24 + 48 * k, 50).l(), within(0.1));
    }
  }

  @Test
  void aGlowIsWarmerLighterAndSofter() {
    Picture before = picture(CORNER);
    Picture after = picture(CORNER, new Glow(0.4, 30, 0.5));
    assertThat(stops(after, 200, 80) - stops(before, 200, 80)).isBetween(0.2, 0.6);
    assertThat(lab(after, 200, 80).b()).isGreaterThan(lab(before, 200, 80).b() + 5);
    double texture = Math.abs(stops(before, 60, 81) - stops(before, 63, 81));
    assertThat(Math.abs(stops(after, 60, 81) - stops(after, 63, 81))).isLessThan(0.75 * texture);
  }

  /** Nothing asked for is nothing done. */
  @Test
  void passesAtNothingChangeNothing() {
    Move[] nothing = {
      new Levels(Channels.LIGHTNESS, 1, 0, 1),
      new ToneCurve(Channels.ALL_CHANNELS, List.of(new Point(-10, -10), new Point(0, 0))),
      new Fill(0, -3.5, 0, 1),
      new Detail(0, 0),
      new HueBand(120, 90, 1, 0, 0),
      new Wash(75, 20, 0),
      new Glow(0, 0, 0)
    };
    Picture before = picture(COLOURS);
    for (Move move : nothing) {
      Picture after = picture(COLOURS, move);
      for (int k = 0; k < 5; k++) {
        assertThat(lab(after, 24 + 48 * k, 50).difference(lab(before, 24 + 48 * k, 50)))
            .as("%s", move)
            .isLessThan(0.05);
      }
    }
  }

  /**
   * Held, a colour's channels keep their ratios; let go, each channel stands where a grey of its
   * own value would, which is what a curve on each channel means (common practice, no source).
   */
  @Test
  void saturationIsHeldUnlessItIsToFollow() {
    Analysis view = view((x, y, c) -> new int[] {150, 110, 90}[c]);
    Picture before = picture(view);
    Picture held = picture(view, new Tone(0.2, 40, -10, 20, 5, 0));
    Picture half = picture(view, new Tone(0.2, 40, -10, 20, 5, 0.5));
    Picture free = picture(view, new Tone(0.2, 40, -10, 20, 5, 1));
    int i = 80 * W + 120;
    assertThat(held.r()[i] / held.b()[i]).isCloseTo(before.r()[i] / before.b()[i], within(0.001f));
    for (int c = 0; c < 3; c++) {
      float own = Stops.of(before.channel(c)[i]);
      float grey = own + Tone.gain(new Tone(0.2, 40, -10, 20, 5), own, own);
      assertThat(Stops.of(free.channel(c)[i])).isCloseTo(grey, within(0.01f));
      assertThat(Stops.of(half.channel(c)[i]))
          .isCloseTo((Stops.of(held.channel(c)[i]) + grey) / 2, within(0.01f));
    }
    assertThat(free.r()[i] / free.b()[i]).isGreaterThan(held.r()[i] / held.b()[i]);
  }
}
