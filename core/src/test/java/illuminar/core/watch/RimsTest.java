package illuminar.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Plane;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Ways from edges and spots of measures, on planes whose edges are drawn by a formula. */
class RimsTest {
  private static final int W = 120;
  private static final int H = 90;

  private interface Tone {
    double at(double x, double y);
  }

  private static Plane plane(Tone tone) {
    Plane p = Plane.of(W, H);
    for (int i = 0; i < W * H; i++) {
      p.data()[i] = (float) tone.at(i % W, i / W);
    }
    return p;
  }

  /** A straight edge of two stops as a lens draws it, turned by an angle through the middle. */
  private static Tone edge(double degrees) {
    double c = Math.cos(Math.toRadians(degrees));
    double s = Math.sin(Math.toRadians(degrees));
    return (x, y) -> -2 + Math.tanh(((x - W / 2.0) * c + (y - H / 2.0) * s) / 0.8);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 30, 45, 90, 120})
  void waysLeadSquarelyAwayFromAStraightEdgeOnBothSides(double degrees) {
    List<Rims.Way> ways = Rims.of(plane(edge(degrees)));
    double c = Math.cos(Math.toRadians(degrees));
    double s = Math.sin(Math.toRadians(degrees));
    int bright = 0;
    for (Rims.Way way : ways) {
      double along = way.dx() * c + way.dy() * s;
      assertThat(Math.abs(along)).isGreaterThan(Math.cos(Math.toRadians(30)));
      double off = (way.x() - W / 2.0) * c + (way.y() - H / 2.0) * s;
      assertThat(Math.abs(off)).isLessThan(3);
      bright += along > 0 ? 1 : 0;
    }
    assertThat(ways.size()).isGreaterThan(60);
    assertThat(bright / (double) ways.size()).isCloseTo(0.5, within(0.15));
  }

  @Test
  void anEvenSurfaceAndASoftSlopeHaveNoWays() {
    assertThat(Rims.of(plane((x, y) -> -2))).isEmpty();
    assertThat(Rims.of(plane((x, y) -> x / 30))).isEmpty();
  }

  /** Where the surface beside an edge is itself uneven, nothing can be told. */
  @Test
  void waysOverTextureAreLeftOut() {
    Tone rough = (x, y) -> x > 60 ? -1 : -3 + 0.3 * Math.sin(x * 1.3);
    List<Rims.Way> ways = Rims.of(plane(rough));
    assertThat(ways).isNotEmpty();
    assertThat(ways).filteredOn(w -> w.dx() < 0).isEmpty();
  }

  /** A rim of half a stop beside the edge is what near has and far has not. */
  @Test
  void nearAndFarAreReadAlongTheWay() {
    Plane light = plane(edge(0));
    Plane done = plane((x, y) -> x > 60 && x < 68 ? 0.5 : 0);
    List<Rims.Way> ways = Rims.of(light);
    for (Rims.Way way : ways) {
      float rim = way.near(done) - way.far(done);
      assertThat((double) rim).isCloseTo(way.dx() > 0 ? 0.5 : 0, within(0.2));
    }
  }

  @Test
  void measuresThatHangTogetherAreOneSpotAndTheHeaviestComesFirst() {
    Spots spots = new Spots(W, H, 2);
    // a large spot by the second step, a small one by the first
    IntStream.range(0, 40).forEach(i -> spots.add(20 + i % 8, 20 + i / 8, 1, new double[] {0, 1}));
    IntStream.range(0, 40).forEach(i -> spots.add(34 + i % 8, 20 + i / 8, 1, new double[] {0, 1}));
    IntStream.range(0, 12).forEach(i -> spots.add(100 + i % 4, 70 + i / 4, 1, new double[] {1, 0}));
    // too few to count
    spots.add(100, 10, 50, new double[] {1, 0});
    List<Spots.Spot> found = spots.all(6, 5);
    assertThat(found).hasSize(2);
    assertThat(found.get(0).step()).isEqualTo(1);
    assertThat(found.get(1).step()).isZero();
    assertThat(found.get(0).amount()).isCloseTo(1, within(1e-9));
    assertThat(spots.all(6, 1)).hasSize(1);
  }
}
