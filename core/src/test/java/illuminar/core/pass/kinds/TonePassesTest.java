package illuminar.core.pass.kinds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.pass.Channels;
import illuminar.core.pass.Move;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Passes on tone: levels, curves, fill. */
class TonePassesTest {
  /** The levels formula on codes (common practice, no source). */
  @ParameterizedTest
  @CsvSource({"1, 0, 1", "0.9, 0.05, 1", "0.8, 0.1, 1.4", "1, 0.02, 0.7"})
  void levelsFollowTheFormulaOnEveryChannel(double white, double black, double gamma) {
    for (Channels on : new Channels[] {Channels.ALL_CHANNELS, Channels.LIGHTNESS}) {
      Picture p = Painted.picture(Painted.GREYS, new Levels(on, white, black, gamma));
      for (int x = 20; x < Painted.W; x += 11) {
        double in = (8 + x) / 255.0;
        if (in < white && in > black + 0.02) {
          double out = Math.pow((in - black) / (white - black), 1 / gamma);
          assertThat(Painted.codes(p, x, 50)[1])
              .as("%s at %.3f", on, in)
              .isCloseTo(out, within(0.004));
        }
      }
    }
  }

  @Test
  void levelsBurnAndBlockBeyondTheirPoints() {
    Picture p = Painted.picture(Painted.GREYS, new Levels(Channels.LIGHTNESS, 0.7, 0.2, 1));
    assertThat(p.g()[50 * Painted.W + 200]).isGreaterThanOrEqualTo(1);
    assertThat(p.g()[50 * Painted.W + 20]).isLessThan(0.0002f);
    assertThatThrownBy(() -> new Levels(Channels.LIGHTNESS, 0.3, 0.28, 1))
        .hasMessageContaining("Black point");
  }

  /** One channel alone: the others stay as they are, bit for bit nearly. */
  @Test
  void levelsOfOneChannelLeaveTheOthers() {
    double[] before = Painted.codes(Painted.picture(Painted.COLOURS), 24, 50);
    double[] after =
        Painted.codes(
            Painted.picture(Painted.COLOURS, new Levels(Channels.GREEN, 1, 0, 1.3)), 24, 50);
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
    Picture p = Painted.picture(Painted.GREYS, s);
    Picture before = Painted.picture(Painted.GREYS);
    for (int x = 30; x < Painted.W; x += 17) {
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
      double[] before = Painted.codes(Painted.picture(Painted.COLOURS), x, 50);
      Picture held = Painted.picture(Painted.COLOURS, new ToneCurve(Channels.LIGHTNESS, steep));
      Picture each = Painted.picture(Painted.COLOURS, new ToneCurve(Channels.ALL_CHANNELS, steep));
      double ratio = Srgb.decode(before[0]) / Srgb.decode(before[1]);
      double[] after = Painted.codes(held, x, 50);
      assertThat(Srgb.decode(after[0]) / Srgb.decode(after[1])).isCloseTo(ratio, within(0.01));
      assertThat(Painted.saturation(Painted.codes(each, x, 50)))
          .isGreaterThan(Painted.saturation(before));
    }
  }

  /** Colours keep the ratios of their channels, and strong ones are lifted less than greys. */
  @Test
  void aCurveByBrightnessHoldsStrongColoursBack() {
    List<Point> lighter = List.of(new Point(-6, -5), new Point(-2, -1), new Point(0, -0.1));
    ToneCurve brightness = new ToneCurve(Channels.BRIGHTNESS, lighter);
    ToneCurve lightness = new ToneCurve(Channels.LIGHTNESS, lighter);
    for (int k = 0; k < 5; k++) {
      int x = 24 + 48 * k;
      double[] before = linear(Painted.picture(Painted.COLOURS), x);
      double[] after = linear(Painted.picture(Painted.COLOURS, brightness), x);
      double[] light = linear(Painted.picture(Painted.COLOURS, lightness), x);
      double tone = (stops(most(before)) + stops(before[3])) / 2;
      assertThat(stops(most(after)) - stops(most(before)))
          .isCloseTo(brightness.at(tone) - tone, within(0.02));
      assertThat(after[0] / after[1]).isCloseTo(before[0] / before[1], within(0.01));
      assertThat(most(after)).isLessThanOrEqualTo(most(light) + 1e-6);
    }
    Picture grey = Painted.picture(Painted.GREYS, brightness);
    Picture same = Painted.picture(Painted.GREYS, lightness);
    for (int x = 30; x < Painted.W; x += 17) {
      assertThat(grey.luminanceAt(x)).isCloseTo(same.luminanceAt(x), within(0.002f));
    }
  }

  /**
   * Where colour goes over more slowly than luminance, as in frames that keep it at half the size
   * (ITU-T T.81, 4:2:0), nothing is lighter than both of its sides.
   */
  @Test
  void aCurveByBrightnessDrawsNoLineWhereColoursMeet() {
    Painted.Scene scene =
        (x, y, c) -> warm(x < 120 ? 0.35 : 0.25, Math.max(0, Math.min(1, (123 - x) / 6.0)), c);
    List<Point> lighter = List.of(new Point(-6, -5), new Point(-2, -0.8), new Point(0, -0.1));
    Picture after =
        Painted.picture(Painted.view(scene), new ToneCurve(Channels.BRIGHTNESS, lighter));
    double line = 0;
    for (int x = 63; x < 177; x++) {
      double own = Painted.stops(after, x, 80);
      double off = own - Math.max(Painted.stops(after, x - 4, 80), Painted.stops(after, x + 4, 80));
      line = Math.max(line, off);
    }
    assertThat(line).isLessThan(0.01);
  }

  /** A lamp's warm light keeps its colour and its shape where a curve would burn its red. */
  @Test
  void aCurveByBrightnessLeavesALampItsColour() {
    Analysis lamp = Painted.view((x, y, c) -> warm(x < 120 ? 0.5 : 0.4, 0.9, c));
    List<Point> lighter = List.of(new Point(-6, -5.3), new Point(0, 0.7));
    Picture held = Painted.picture(lamp, new ToneCurve(Channels.BRIGHTNESS, lighter));
    Picture burnt = Painted.picture(lamp, new ToneCurve(Channels.LIGHTNESS, lighter));
    assertThat(most(linear(burnt, 60))).isGreaterThan(1.4);
    assertThat(most(linear(held, 60))).isLessThan(1.25);
    assertThat(Painted.stops(held, 60, 50)).isGreaterThan(Painted.stops(held, 180, 50) + 0.1);
  }

  /**
   * Code of a channel of light that leans to red and from blue.
   *
   * @param luminance linear, 1 is white
   * @param lean 0 for grey; red is 1 + lean of it
   */
  private static int warm(double luminance, double lean, int c) {
    double red = 1 + lean;
    double blue = 1 - 0.8 * lean;
    double green = (1 - 0.2126 * red - 0.0722 * blue) / 0.7152;
    double light = luminance * (c == 0 ? red : c == 1 ? green : blue);
    return (int) Math.round(255 * illuminar.core.colour.Srgb.encode(Math.min(1, light)));
  }

  /** Linear red, green, blue and luminance at a place of the row 50. */
  private static double[] linear(Picture p, int x) {
    int i = 50 * Painted.W + x;
    double[] rgb = illuminar.core.colour.Space.WORK_TO_SRGB.apply(p.r()[i], p.g()[i], p.b()[i]);
    return new double[] {rgb[0], rgb[1], rgb[2], p.luminanceAt(i)};
  }

  private static double most(double[] rgb) {
    return Math.max(rgb[0], Math.max(rgb[1], rgb[2]));
  }

  private static double stops(double light) {
    return Math.log(light) / Math.log(2);
  }

  @Test
  void aCurveOutOfOrderIsRefused() {
    assertThatThrownBy(
            () -> new ToneCurve(Channels.LIGHTNESS, List.of(new Point(-2, -2), new Point(-3, -3))))
        .hasMessageContaining("dark to light");
    assertThatThrownBy(() -> new ToneCurve(Channels.LIGHTNESS, List.of(new Point(0, 0))))
        .hasMessageContaining("2 to 16");
  }

  /** CRAFT: lift only the darkest area (40 to 70 of 100); common practice, no source. */
  @Test
  void fillLiftsTheDarkCornerAloneWithItsTexture() {
    Picture before = Painted.picture(Painted.CORNER);
    Picture after = Painted.picture(Painted.CORNER, new Fill(60, -3.5, 0, 1));
    assertThat(Painted.stops(after, 60, 80) - Painted.stops(before, 60, 80)).isBetween(0.8, 1.3);
    assertThat(Painted.stops(after, 200, 80))
        .isCloseTo(Painted.stops(before, 200, 80), within(0.02));
    double texture = Painted.stops(before, 60, 81) - Painted.stops(before, 63, 81);
    assertThat(Painted.stops(after, 60, 81) - Painted.stops(after, 63, 81))
        .as("texture")
        .isCloseTo(texture, within(Math.abs(texture) * 0.15));
    Picture crisp = Painted.picture(Painted.CORNER, new Fill(60, -3.5, 60, 1));
    assertThat(Math.abs(Painted.stops(crisp, 60, 81) - Painted.stops(crisp, 63, 81)))
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

  /** Nothing asked for is nothing done. */
  @Test
  void passesAtNothingChangeNothing() {
    Move[] nothing = {
      new Levels(Channels.LIGHTNESS, 1, 0, 1),
      new ToneCurve(Channels.ALL_CHANNELS, List.of(new Point(-10, -10), new Point(0, 0))),
      new Fill(0, -3.5, 0, 1),
      new Detail(0, 0, 0),
      new Vignette(0, 0.8, 0, 0.5, 0.5),
      new Sharpen(0, 1.2, 1, 1, 0),
      new ReduceNoise(0, 0, 1),
      new WarmCool(1, 0, 1, 0),
      new HueBand(120, 90, 1, 0, 0),
      new Wash(75, 20, 0),
      new Glow(0, 0, 0)
    };
    Picture before = Painted.picture(Painted.COLOURS);
    for (Move move : nothing) {
      Picture after = Painted.picture(Painted.COLOURS, move);
      for (int k = 0; k < 5; k++) {
        assertThat(
                Painted.lab(after, 24 + 48 * k, 50)
                    .difference(Painted.lab(before, 24 + 48 * k, 50)))
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
    Analysis view = Painted.view((x, y, c) -> new int[] {150, 110, 90}[c]);
    Picture before = Painted.picture(view);
    Picture held = Painted.picture(view, new Tone(0.2, 40, -10, 20, 5, 0));
    Picture half = Painted.picture(view, new Tone(0.2, 40, -10, 20, 5, 0.5));
    Picture free = Painted.picture(view, new Tone(0.2, 40, -10, 20, 5, 1));
    int i = 80 * Painted.W + 120;
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
