package illuminar.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The camera's own turn, found again from lines of a room that it saw. */
class UprightTest {
  private static final int W = 3000;
  private static final int H = 2000;
  private static final double F = 24.0 / 36;

  /**
   * A place of the room as a camera sees it that is turned by yaw, looks up by pitch, and leans by
   * roll: a pinhole (Hartley and Zisserman 2003, chapter 6), the three turns written out.
   */
  private static Point seen(double x, double y, double z, double roll, double up, double right) {
    double r = Math.toRadians(right);
    double u = Math.toRadians(up);
    double o = Math.toRadians(roll);
    double x1 = Math.cos(r) * x - Math.sin(r) * z;
    double z1 = Math.sin(r) * x + Math.cos(r) * z;
    double y2 = Math.cos(u) * y + Math.sin(u) * z1;
    double z2 = -Math.sin(u) * y + Math.cos(u) * z1;
    double x3 = Math.cos(o) * x1 + Math.sin(o) * y2;
    double y3 = -Math.sin(o) * x1 + Math.cos(o) * y2;
    return new Point(0.5 + F * x3 / z2, H / (2.0 * W) + F * y3 / z2);
  }

  private static List<Upright.Line> room(
      double roll, double up, double right, int plumb, int level) {
    List<Upright.Line> lines = new ArrayList<>();
    double[] sides = {-1.1, 1.2, -0.5, 0.4};
    for (int k = 0; k < plumb; k++) {
      lines.add(
          new Upright.Line(
              seen(sides[k], -0.7, 3, roll, up, right), seen(sides[k], 0.6, 3, roll, up, right)));
    }
    for (int k = 0; k < level; k++) {
      double y = k == 0 ? 0.6 : -0.7;
      lines.add(new Upright.Line(seen(-1, y, 3, roll, up, right), seen(1, y, 3, roll, up, right)));
    }
    return lines;
  }

  @Test
  void fourLinesFindHowTheCameraWasTurned() {
    Random chance = new Random(5);
    for (int k = 0; k < 30; k++) {
      double roll = chance.nextDouble() * 8 - 4;
      double up = chance.nextDouble() * 16 - 8;
      double right = chance.nextDouble() * 16 - 8;
      Geometry g = Upright.of(Geometry.NONE, room(roll, up, right, 2, 2), W, H);
      assertThat(g.turn()).isCloseTo(roll, within(0.01));
      assertThat(g.pitch()).isCloseTo(up, within(0.01));
      assertThat(g.yaw()).isCloseTo(right, within(0.01));
    }
  }

  @Test
  void oneLineTurnsAndTwoPlumbOnesSetUpright() {
    Geometry one = Upright.of(Geometry.NONE, room(2.5, 0, 0, 1, 0), W, H);
    assertThat(one.turn()).isCloseTo(2.5, within(0.01));
    assertThat(one.pitch()).isZero();
    Geometry two = Upright.of(Geometry.NONE, room(1, 6, 0, 2, 0), W, H);
    assertThat(two.pitch()).isCloseTo(6, within(0.01));
    assertThat(two.yaw()).isZero();
  }

  /** Lines that are parallel in the picture meet nowhere; the same line twice leaves much open. */
  @Test
  void linesThatMeetNowhereAndTheSameLineTwiceDoNoHarm() {
    Geometry straight = Upright.of(Geometry.NONE, room(0, 0, 0, 2, 2), W, H);
    assertThat(straight.turn()).isCloseTo(0, within(1e-3));
    assertThat(straight.pitch()).isCloseTo(0, within(1e-3));
    assertThat(straight.yaw()).isCloseTo(0, within(1e-3));
    Upright.Line line = room(2, 0, 0, 1, 0).get(0);
    Geometry twice = Upright.of(Geometry.NONE, List.of(line, line), W, H);
    Projection p = Projection.of(twice, W, H);
    assertThat(p.toPlane(line.from()).x()).isCloseTo(p.toPlane(line.to()).x(), within(1e-4));
    assertThat(Math.abs(twice.pitch())).isLessThan(10);
  }

  @Test
  void linesOfNoLengthAreRefused() {
    Point at = new Point(0.5, 0.3);
    assertThatThrownBy(() -> Upright.of(Geometry.NONE, List.of(new Upright.Line(at, at)), W, H))
        .hasMessageContaining("at least 30 pixels");
    assertThatThrownBy(() -> Upright.of(Geometry.NONE, List.of(), W, H))
        .hasMessageContaining("1 to 200 lines");
  }
}
