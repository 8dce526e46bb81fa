package illuminar.core.analysis.window;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Plane;
import org.junit.jupiter.api.Test;

/**
 * Two sash windows in line over a lawn in the shade, and a polished floor that mirrors their sky,
 * as light in stops. Our own rules, no source.
 */
class ExtentTest {
  private static final int W = 1200;
  private static final int H = 800;
  private static final double WALL = 0.07;
  private static final int RAIL = 300;
  private static final int SILL = 440;
  private static final Plane STOPS = stops();

  private static double light(int x, int y) {
    boolean left = x > 200 && x < 480;
    boolean right = x > 620 && x < 900;
    if (left || right) {
      double leaves = 1 + 0.12 * Math.sin(x * 0.3) * Math.sin(y * 0.4);
      boolean bar = left && Math.abs(x - 340) < 4;
      if (y > 160 && y < SILL && !bar && Math.abs(y - RAIL - 4) > 4) {
        return (y < RAIL ? 2.6 : 0.32) * leaves;
      }
      if (y > SILL + 25 && y < 640 && !bar) {
        return 1.5;
      }
    }
    return WALL;
  }

  private static Plane stops() {
    Plane out = Plane.of(W, H);
    for (int i = 0; i < W * H; i++) {
      out.data()[i] = (float) (Math.log(light(i % W, i / W)) / Math.log(2));
    }
    return out;
  }

  private static Quad upper(int from, int to) {
    return new Quad(
        new double[] {from, 0},
        new double[] {to, 0},
        new double[] {161, 0},
        new double[] {RAIL, 0});
  }

  private static final float WALL_STOPS = (float) (Math.log(WALL) / Math.log(2));

  private static Extent extent() {
    return new Extent(STOPS, WALL_STOPS, WALL_STOPS);
  }

  private static Foot foot() {
    return new Foot(STOPS, WALL_STOPS, WALL_STOPS);
  }

  @Test
  void theLowerSashBelongsToTheWindowAndTheFloorThatMirrorsItDoesNot() {
    Quad whole = extent().of(upper(201, 480));
    assertThat(Quad.at(whole.bottom(), 340)).isCloseTo(SILL, within(6.0));
  }

  @Test
  void aWindowInLineWithADeeperOneIsAsDeep() {
    Quad deep =
        new Quad(
            new double[] {201, 0},
            new double[] {480, 0},
            new double[] {161, 0},
            new double[] {SILL, 0});
    Quad right = foot().asFarAs(deep, upper(621, 900));
    assertThat(Quad.at(right.bottom(), 760)).isCloseTo(SILL, within(1.0));
    Quad lower =
        new Quad(
            new double[] {621, 0},
            new double[] {900, 0},
            new double[] {200, 0},
            new double[] {RAIL, 0});
    assertThat(foot().asFarAs(deep, lower)).as("its top is not in line").isSameAs(lower);
    Quad blind = upper(1000, 1190);
    assertThat(foot().asFarAs(deep, blind)).as("a wall beside it").isSameAs(blind);
  }
}
