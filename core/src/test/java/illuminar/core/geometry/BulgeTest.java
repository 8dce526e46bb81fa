package illuminar.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Rooms of straight edges seen through a lens by Brown's formula, and found without a hand. */
class BulgeTest {
  private static final int W = 1200;
  private static final int H = 800;

  /** Rectangles of some greys, drawn through a lens. */
  private static Plane seen(long seed, double bulge) {
    Random chance = new Random(seed);
    double[][] boxes = new double[26][5];
    for (double[] b : boxes) {
      b[0] = chance.nextDouble() * 0.8;
      b[1] = chance.nextDouble() * 0.5;
      b[2] = b[0] + 0.08 + chance.nextDouble() * 0.5;
      b[3] = b[1] + 0.08 + chance.nextDouble() * 0.35;
      b[4] = 0.15 + 0.7 * chance.nextDouble();
    }
    Places places = new Places(new Geometry(0, 0, 0, 24, bulge, 0, 0, 0, Crop.NONE), W, H);
    Plane out = Plane.of(W, H);
    for (int i = 0; i < W * H; i++) {
      Point p = places.toPlane(new Point((i % W + 0.5) / W, (i / W + 0.5) / W));
      double tone = 0.5;
      for (double[] b : boxes) {
        double share =
            edge(p.x() - b[0]) * edge(b[2] - p.x()) * edge(p.y() - b[1]) * edge(b[3] - p.y());
        tone += (b[4] - tone) * share;
      }
      out.data()[i] = (float) (tone + 0.01 * chance.nextGaussian());
    }
    return out;
  }

  private static double edge(double d) {
    return 1 / (1 + Math.exp(-d * W / 0.6));
  }

  private static Bulge.Found found(long seed, double bulge) {
    return Bulge.of(seen(seed, bulge), Geometry.NONE, W, H);
  }

  @Test
  void aBarrelIsFound() {
    Bulge.Found found = found(3, 4);
    assertThat(found.sure()).isTrue();
    assertThat(found.bulge()).isCloseTo(4, within(0.3));
    assertThat(found.after()).isLessThan(0.3 * found.before());
  }

  @Test
  void aPincushionIsFound() {
    Bulge.Found found = found(5, -2.5);
    assertThat(found.sure()).isTrue();
    assertThat(found.bulge()).isCloseTo(-2.5, within(0.25));
  }

  /** A picture whose lines are straight is not bent. */
  @Test
  void aStraightRoomStaysStraight() {
    Bulge.Found found = found(5, 0);
    assertThat(found.bulge()).isCloseTo(0, within(0.3));
    assertThat(found.sure()).isFalse();
  }

  /** Boxes half hidden by others bow whatever the lens; what is taken out is still a bow less. */
  @Test
  void aRoomOfBrokenEdgesIsNeverMadeWorse() {
    Bulge.Found found = found(4, 4);
    assertThat(Math.abs(found.bulge() - 4)).isLessThan(1);
    assertThat(found.after()).isLessThan(found.before());
  }

  @Test
  void aPlainWallTellsNothing() {
    assertThat(Bulge.of(Plane.filled(W, H, 0.5f), Geometry.NONE, W, H).sure()).isFalse();
  }
}
