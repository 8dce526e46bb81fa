package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.geometry.Crop;
import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Projection;
import illuminar.core.picture.Point;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The interface's own logic, called module by module in Chromium, without any screen. */
class ModulesTest extends OnModules {
  private static double number(String expression) {
    return ((Number) call(expression)).doubleValue();
  }

  /** Nonsense is no number; units, decimal commas and the true minus are. Common practice. */
  @Test
  void typedNumbersAreReadWithTheirUnitAndNonsenseIsNone() {
    assertThat(call("return m.typedNumber('abc', 'st')")).isNull();
    assertThat(call("return m.typedNumber('', 'st')")).isNull();
    assertThat(call("return m.typedNumber('1.2.3', '')")).isNull();
    assertThat(call("return m.typedNumber('--2', '')")).isNull();
    assertThat(number("return m.typedNumber('−1,5 st', 'st')")).isEqualTo(-1.5);
    assertThat(number("return m.typedNumber('+.5', 'st')")).isEqualTo(0.5);
    assertThat(number("return m.typedNumber('35 %', '%')")).isCloseTo(0.35, within(1e-12));
    assertThat(number("return m.typedNumber(' 12px', 'px')")).isEqualTo(12);
  }

  /** "+", "*" and "/" without a unit reckon from what is there; our own rule. */
  @Test
  void typedNumbersMayReckonFromWhatIsThere() {
    assertThat(number("return m.entered('+0.3', 'st', 0.5)")).isEqualTo(0.8);
    assertThat(number("return m.entered('+-0.3', 'st', 0.5)")).isEqualTo(0.2);
    assertThat(number("return m.entered('*2', 'st', 0.4)")).isEqualTo(0.8);
    assertThat(number("return m.entered('/2', '%', 0.4)")).isEqualTo(0.2);
    assertThat(number("return m.entered('+10', '%', 0.4)")).isEqualTo(0.5);
    assertThat(number("return m.entered('+0.50 st', 'st', 0.4)")).as("as shown").isEqualTo(0.5);
    assertThat(number("return m.entered('-1', 'st', 0.4)")).isEqualTo(-1);
    assertThat(call("return m.entered('/0', 'st', 0.4)")).isNull();
    assertThat(call("return m.entered('*', 'st', 0.4)")).isNull();
  }

  /** A gate that lets the darkest tones through goes on doing so while its other end moves. */
  @Test
  void anOpenEndOfAGateStaysOpen() {
    String darks = "{from: -100, full: -100, fullTo: -2.7, to: -2}";
    assertThat(number("return m.shownGate(" + darks + ").from")).isEqualTo(-10);
    assertThat(number("return m.movedGate(" + darks + ", 'to', -1.5).from")).isEqualTo(-100);
    assertThat(number("return m.movedGate(" + darks + ", 'to', -1.5).to")).isEqualTo(-1.5);
    assertThat(number("return m.movedGate(" + darks + ", 'full', -6).full")).isEqualTo(-6);
    assertThat(number("return m.movedGate(" + darks + ", 'full', -6).from")).isEqualTo(-10);
    assertThat(number("return m.movedGate(" + darks + ", 'fullTo', 3).to")).isEqualTo(-2);
    assertThat(call("return m.gateWords(" + darks + ")"))
        .isEqualTo("only in tones up to −2.7 stops");
    String lights = "{from: -3, full: -2, fullTo: 100, to: 100}";
    assertThat(call("return m.gateWords(" + lights + ")"))
        .isEqualTo("only in tones from −2 stops up");
  }

  /** A factor about 1 is shown and typed as so much more or less; our own rule. */
  @Test
  void aSaturationRunsFromLessToMore() {
    assertThat(call("return m.factor({unit: '%', neutral: 1, to: 2})")).isEqualTo(true);
    assertThat(call("return m.factor({unit: '%', neutral: 1, to: 1})")).isEqualTo(false);
    assertThat(call("return m.worded(0.6, 0.01, '±%')")).isEqualTo("−40 %");
    assertThat(call("return m.worded(1, 0.01, '±%')")).isEqualTo("0 %");
    assertThat(call("return m.worded(1.25, 0.01, '±%')")).isEqualTo("+25 %");
    assertThat(number("return m.entered('-40', '±%', 1.2)")).isCloseTo(0.6, within(1e-9));
    assertThat(number("return m.entered('−100 %', '±%', 1)")).isCloseTo(0, within(1e-9));
    assertThat(number("return m.entered('+10', '±%', 1.2)")).isCloseTo(1.3, within(1e-9));
    assertThat(number("return m.entered('*2', '±%', 1.2)")).isCloseTo(1.4, within(1e-9));
  }

  /** A mired is 10⁶ / K: from daylight of 6504 K to lamplight of 2700 K are 217 (CIE 15). */
  @Test
  void aWhiteCanBeGivenInKelvin() {
    assertThat(number("return m.mired(2700)")).isCloseTo(-216.6, within(0.1));
    assertThat(number("return m.mired(6504)")).isCloseTo(0, within(1e-9));
    assertThat(number("return Number(m.kelvin(m.mired(4000)))")).isEqualTo(4000);
  }

  @Test
  void amountsSayTheirSignWhereTheyCanGoEitherWay() {
    assertThat(call("return m.amount(0.5, 0.05, 'st')")).isEqualTo("+0.50 st");
    assertThat(call("return m.amount(-20, 1, 'mired')")).isEqualTo("−20 mired");
    assertThat(call("return m.worded(0.995, 0.005, '%')")).isEqualTo("99.5 %");
    assertThat(call("return m.worded(0.4, 0.01, '%')")).isEqualTo("40 %");
  }

  /** A black point stays its distance below the white point, whichever of the two moves. */
  @Test
  void numbersThatExcludeEachOtherAreHeldApart() {
    String bounds =
        "const b = [{name:'white',under:'',apart:0},{name:'black',under:'white',apart:0.05}];"
            + " const now = {white:0.6,black:0.3}; ";
    assertThat(number(bounds + "return m.held(b, now, 'black', 0.9)")).isEqualTo(0.55);
    assertThat(number(bounds + "return m.held(b, now, 'white', 0.2)")).isEqualTo(0.35);
    assertThat(number(bounds + "return m.held(b, now, 'black', 0.1)")).isEqualTo(0.1);
  }

  /** The interface places what lies on a turned picture where the core does. */
  @Test
  void placesOnATurnedPictureAreTheCores() {
    Geometry tilted = new Geometry(3, 6, -4, 24, 5, -1, 0, 0, Crop.NONE);
    Projection core = Projection.of(tilted, 3000, 2000);
    Projection.Lay lay = core.lay();
    String given =
        String.format(
            Locale.ROOT,
            "const lay = { back: %s, k1: %s, k2: %s, corner: %s, left: %s, top: %s }; "
                + "const size = { w: 3000, h: 2000, long: 3000 }; ",
            Arrays.toString(lay.back()),
            lay.k1(),
            lay.k2(),
            lay.corner(),
            lay.left(),
            lay.top());
    for (double[] at : new double[][] {{0, 0}, {0.5, 0.3}, {0.97, 0.61}}) {
      String place = "{ x: " + at[0] + ", y: " + at[1] + " }";
      Point want = core.toPlane(new Point(at[0], at[1]));
      assertThat(number(given + "return m.inPlane(lay, size, " + place + ").x"))
          .isCloseTo(want.x(), within(1e-7));
      assertThat(number(given + "return m.inPlane(lay, size, " + place + ").y"))
          .isCloseTo(want.y(), within(1e-7));
      String there = "const p = m.shownAt(lay, size, " + place + "); ";
      assertThat(number(given + there + "return m.under(lay, size, p.x, p.y).x"))
          .isCloseTo(at[0], within(1e-6));
    }
  }

  /** A crop keeps its ratio from whichever side it is pulled, and the other side where it is. */
  @Test
  void aCropKeepsItsRatio() {
    String box = "const b = { left: 0.1, top: 0.1, width: 0.6, height: 0.4 }; ";
    assertThat(number(box + "return m.pulledBox(b, [1, 0], 0.15, 0, 1.5).height"))
        .isCloseTo(0.5, within(1e-9));
    assertThat(number(box + "return m.pulledBox(b, [-1, -1], 0.3, 0, 1.5).left"))
        .isCloseTo(0.1, within(1e-9));
    assertThat(number(box + "return m.pulledBox(b, [0, 0], 0.05, 0, 1.5).width")).isEqualTo(0.6);
    assertThat(number(box + "return m.withRatio(b, 1).width")).isCloseTo(0.4, within(1e-9));
  }

  /** The point under the pointer stays where it is, and a piece never reaches beyond the view. */
  @Test
  void zoomingKeepsThePointUnderThePointer() {
    Object seen =
        call(
            """
            const stage = { width: 800, height: 600 };
            const g = m.placed(6000, 4000, stage, { fit: true, scale: 1, cx: 0, cy: 0 });
            const zoom = m.pulled(g, stage, 1, 200, 150);
            const h = m.placed(6000, 4000, stage, zoom);
            const before = (200 - g.ox) / g.scale, after = (200 - h.ox) / h.scale;
            const p = m.piece(h, stage), c = m.coarser(p, h);
            return [Math.abs(before - after), p.width <= 800, p.x + p.width <= 6000,
              Math.abs(c.width - p.width / 2) <= 1, c.scale];
            """);
    assertThat(seen).isInstanceOf(List.class);
    List<?> list = (List<?>) seen;
    assertThat(((Number) list.get(0)).doubleValue()).isLessThan(1.5);
    assertThat(list.subList(1, 5)).isEqualTo(List.of(true, true, true, 0.5));
  }

  /** A path is read as it was written, and thinned within its tolerance. Douglas, Peucker 1973. */
  @Test
  void drawnLinesComeBackAndAreThinned() {
    Object seen =
        call(
            """
            const line = Array.from({ length: 50 }, (_, i) => ({ x: i / 100, y: 0.2 + (i % 2) * 1e-5 }));
            const back = m.readPath(m.writePath(line));
            const worst = Math.max(...line.map((p, i) => Math.hypot(p.x - back[i].x, p.y - back[i].y)));
            const corner = [{ x: 0, y: 0 }, { x: 0.5, y: 0 }, { x: 0.5, y: 0.5 }];
            return [worst < 1e-5, m.simplified(line, 1e-4).length, m.simplified(corner, 1e-3).length,
              m.writePath([{ x: 0.1, y: 0.1, press: 0.5 }])];
            """);
    assertThat(seen).isEqualTo(List.of(true, 2, 3, "10000,10000,50"));
  }

  /** Warmer by mired along the scale of reciprocal megakelvin: 10⁶/6504 = 153.75. CIE 15. */
  @Test
  void kelvinFollowsFromMired() {
    assertThat(call("return m.kelvin(0)")).isEqualTo("6500");
    assertThat(number("return Number(m.kelvin(-50))"))
        .isCloseTo(1e6 / (1e6 / 6504 + 50), within(6.0));
  }

  private static final String FRAMES =
      """
      const f = (id, role, stops, anchor = false) => ({ id, role, stops, anchor });
      const frames = [f('a', 'AMBIENT', 0, true), f('b', 'AMBIENT', -2), f('c', 'FLASH', -2.02),
        f('d', 'FLASH', -2.03), f('w', 'WINDOW', -5.3), f('o', 'LAMPS_OFF', 0)];
      """;

  @Test
  void framesAreNamedByTheirPlaceOnTheLadder() {
    assertThat(call(FRAMES + "return m.frameName('b', frames)")).isEqualTo("frame −2");
    assertThat(call(FRAMES + "return m.frameName('c', frames)")).isEqualTo("flash frame −2 a");
    assertThat(call(FRAMES + "return m.frameName('d', frames)")).isEqualTo("flash frame −2 b");
    assertThat(call(FRAMES + "return m.frameName('gone', frames)"))
        .isEqualTo("a frame that is gone");
    assertThat(call(FRAMES + "return m.bestMeasure(frames)"))
        .isEqualTo(Map.of("source", "FLASH", "reference", "c"));
    assertThat(call(FRAMES + "return m.bestMeasure(frames.filter((x) => x.role !== 'FLASH'))"))
        .isEqualTo(Map.of("source", "LIGHTS", "reference", "o"));
  }
}
