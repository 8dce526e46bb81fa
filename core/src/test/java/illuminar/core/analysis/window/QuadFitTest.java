package illuminar.core.analysis.window;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Plane;
import org.junit.jupiter.api.Test;

/** Four straight sides about bright pixels, on drawn pictures. Our own rules, no source. */
class QuadFitTest {
  private static final int W = 240;
  private static final int H = 180;

  private interface Inside {
    double share(double x, double y);
  }

  /** Light, log2: 2 inside, −3 outside, mixed linearly at the rim. */
  private static Plane drawn(Inside inside) {
    Plane out = Plane.of(W, H);
    for (int i = 0; i < out.data().length; i++) {
      double s = 0;
      for (int k = 0; k < 64; k++) {
        s += inside.share(i % W + (k % 8 + 0.5) / 8, i / W + (k / 8 + 0.5) / 8) / 64;
      }
      out.data()[i] = (float) (Math.log(4 * s + 0.125 * (1 - s)) / Math.log(2));
    }
    return out;
  }

  private static Plane of(Quad q) {
    return drawn((x, y) -> q.depth(x, y) > 0 ? 1 : 0);
  }

  private static int[] piece(Plane p, int start) {
    return FloodFill.of(start, W, H, false, new boolean[W * H], (from, to) -> p.data()[to] > -1);
  }

  private static final Quad TILTED =
      new Quad(
          new double[] {60.4, 0.04},
          new double[] {150.7, -0.03},
          new double[] {40.2, 0.1},
          new double[] {130.6, -0.12});

  @Test
  void tiltedSidesAreFoundToAFractionOfAPixel() {
    Plane p = of(TILTED);
    QuadFit fit = new QuadFit(p);
    Quad rough = fit.of(piece(p, 80 * W + 100));
    assertThat(rough).isNotNull();
    Quad fine = fit.refined(rough);
    for (double v = 60; v < 115; v += 10) {
      assertThat(Quad.at(fine.left(), v)).isCloseTo(Quad.at(TILTED.left(), v), within(0.3));
      assertThat(Quad.at(fine.right(), v)).isCloseTo(Quad.at(TILTED.right(), v), within(0.3));
    }
    for (double v = 75; v < 140; v += 10) {
      assertThat(Quad.at(fine.top(), v)).isCloseTo(Quad.at(TILTED.top(), v), within(0.3));
      assertThat(Quad.at(fine.bottom(), v)).isCloseTo(Quad.at(TILTED.bottom(), v), within(0.3));
    }
  }

  @Test
  void contrastIsThatOfEachSide() {
    double[] contrast = new QuadFit(of(TILTED)).contrast(TILTED);
    for (double side : contrast) {
      assertThat(side).isCloseTo(5, within(0.2));
    }
    Quad cut = new Quad(new double[] {0, 0}, TILTED.right(), TILTED.top(), TILTED.bottom());
    assertThat(new QuadFit(of(cut)).contrast(cut)[0]).as("the picture ends there").isNaN();
  }

  /** Two sides may be lost, as in a curtain and a lit reveal; sides on an even place are none. */
  @Test
  void sidesWhereNoLightFallsBoundNothing() {
    QuadFit fit = new QuadFit(of(TILTED));
    assertThat(fit.bounded(TILTED)).isTrue();
    double[] left = {90, 0};
    double[] right = {120, 0};
    assertThat(fit.bounded(new Quad(left, right, TILTED.top(), TILTED.bottom()))).isTrue();
    double[] top = {60, 0};
    assertThat(fit.bounded(new Quad(left, right, top, TILTED.bottom()))).isFalse();
  }

  @Test
  void whatHasNoStraightSidesIsNone() {
    Plane round = drawn((x, y) -> Math.hypot(x - 110, y - 90) < 45 ? 1 : 0);
    assertThat(new QuadFit(round).of(piece(round, 90 * W + 110))).isNull();
    Plane leaning =
        drawn((x, y) -> x > 40 + 0.5 * y && x < 90 + 0.5 * y && y > 40 && y < 140 ? 1 : 0);
    assertThat(new QuadFit(leaning).of(piece(leaning, 90 * W + 110))).as("leans").isNull();
  }

  /** Rows and columns exchanged, or seen in a mirror, a pane is the same. */
  @Test
  void turnedAndMirroredItIsTheSamePane() {
    for (double[] at : new double[][] {{70, 60}, {100, 90}, {149, 120}, {30, 90}}) {
      double depth = TILTED.depth(at[0], at[1]);
      assertThat(TILTED.turned().depth(at[1], at[0])).isCloseTo(depth, within(1e-9));
      assertThat(TILTED.mirrored(W).depth(W - at[0], at[1])).isCloseTo(depth, within(1e-9));
      assertThat(TILTED.times(2).depth(2 * at[0], 2 * at[1])).isCloseTo(2 * depth, within(1e-9));
    }
    assertThat(TILTED.size()).isCloseTo(TILTED.wide() * TILTED.high(), within(1e-9));
  }

  private static Plane barred(double dim) {
    return drawn(
        (x, y) -> {
          boolean bar = Math.abs(x - 105) < 2 || Math.abs(y - 85) < 1.5;
          boolean reveal = x > 52 && x < 56 && y > 44 && y < 126;
          boolean glass = TILTED.depth(x, y) > 0 && !bar;
          return reveal ? dim : glass ? 1 : 0;
        });
  }

  @Test
  void barsRunFromSideToSide() {
    Bars bars = new Bars(barred(0), -3);
    assertThat(bars.rows(TILTED)).isEqualTo(2);
    assertThat(bars.uprightSides(TILTED)).hasSize(2);
    double[] first = bars.uprightSides(TILTED).get(0);
    assertThat(Quad.at(first, 90)).isCloseTo(103, within(0.8));
    assertThat(Quad.at(bars.uprightSides(TILTED).get(1), 90)).isCloseTo(107, within(0.8));
  }

  @Test
  void aLitRevealBeyondTheLastBarIsCutOff() {
    Quad wide = new Quad(new double[] {52, 0}, TILTED.right(), TILTED.top(), TILTED.bottom());
    Quad glass = new Bars(barred(0.8), -3).glazed(wide);
    assertThat(Quad.at(glass.left(), 85)).isBetween(57.0, 66.0);
    assertThat(Quad.at(glass.right(), 85)).isCloseTo(Quad.at(TILTED.right(), 85), within(0.5));
  }
}
