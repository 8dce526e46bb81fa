package illuminar.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Point;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Where places of a view lie in its finished picture. */
class ProjectionTest {
  private static final int W = 3000;
  private static final int H = 2000;

  private static Geometry set(double turn, double pitch, double yaw) {
    return new Geometry(turn, pitch, yaw, 24, 0, 0, 0, 0, Crop.NONE);
  }

  @Property
  void thereAndBackIsTheSamePlace(
      @ForAll @DoubleRange(min = -20, max = 20) double turn,
      @ForAll @DoubleRange(min = -12, max = 12) double pitch,
      @ForAll @DoubleRange(min = -12, max = 12) double yaw,
      @ForAll @DoubleRange(min = -10, max = 10) double bulge,
      @ForAll @DoubleRange(min = 0, max = 1) double x,
      @ForAll @DoubleRange(min = 0, max = 0.66) double y) {
    Projection p =
        Projection.of(new Geometry(turn, pitch, yaw, 24, bulge, 1, 0, 0, Crop.NONE), W, H);
    Point back = p.toView(p.toPlane(new Point(x, y)));
    assertThat(back.x()).isCloseTo(x, within(1e-6));
    assertThat(back.y()).isCloseTo(y, within(1e-6));
  }

  /**
   * Verticals of a room, seen by a camera that looks up, stand up once it is as if it had not: a
   * pinhole camera (Hartley and Zisserman 2003, chapter 6), worked out here on its own.
   */
  @Test
  void verticalsOfACameraThatLooksUpStandUp() {
    double up = Math.toRadians(7);
    double f = 24.0 / 36;
    Projection p = Projection.of(set(0, 7, 0), W, H);
    for (double side : new double[] {-1.2, -0.4, 0.9}) {
      double[] seen = new double[2];
      for (int k = 0; k < 2; k++) {
        double level = k == 0 ? -0.8 : 0.5;
        // right, down and ahead of a camera that looks up
        double down = level * Math.cos(up) + 3 * Math.sin(up);
        double ahead = 3 * Math.cos(up) - level * Math.sin(up);
        Point view = new Point(0.5 + f * side / ahead, H / (2.0 * W) + f * down / ahead);
        seen[k] = p.toPlane(view).x();
      }
      assertThat(seen[0]).isCloseTo(seen[1], within(1e-9));
    }
  }

  /** Half of it is what a camera that looked up by half as much needs. */
  @Test
  void uprightByHalfIsByHalfTheAngle() {
    Geometry half = new Geometry(2, 8, -6, 0.5, 24, 0, 0, 0, 0, Crop.NONE, "");
    Point place = new Point(0.2, 0.1);
    assertThat(Projection.of(half, W, H).toPlane(place))
        .isEqualTo(Projection.of(set(2, 4, -3), W, H).toPlane(place));
    assertThat(new Geometry(0, 8, -6, 0, 24, 0, 0, 0, 0, Crop.NONE, "").moves()).isFalse();
  }

  /** The middle stays where it is and as large. */
  @Test
  void theMiddleStays() {
    Projection p = Projection.of(set(3, 8, -5), W, H);
    Point middle = new Point(0.5, H / (2.0 * W));
    assertThat(p.toPlane(middle).x()).isCloseTo(middle.x(), within(1e-9));
    assertThat(p.toPlane(middle).y()).isCloseTo(middle.y(), within(1e-9));
    Point a = p.toPlane(new Point(0.501, middle.y()));
    Point b = p.toPlane(new Point(0.5, middle.y() + 0.001));
    double area =
        (a.x() - middle.x()) * (b.y() - middle.y()) - (a.y() - middle.y()) * (b.x() - middle.x());
    assertThat(area).isCloseTo(1e-6, within(1e-8));
  }

  @Test
  void withoutGeometryItIsTheView() {
    Projection p = Projection.of(Geometry.NONE, W, H);
    assertThat(p.none()).isTrue();
    assertThat(p.width()).isEqualTo(W);
    assertThat(p.height()).isEqualTo(H);
  }

  /** What a turned picture keeps by itself has no empty corner, and could not be larger. */
  @Test
  void aTurnedPictureKeepsTheLargestPieceWithoutEmptyCorners() {
    double turn = 5;
    Projection p = Projection.of(set(turn, 0, 0), W, H);
    double s = Math.sin(Math.toRadians(turn));
    double c = Math.cos(Math.toRadians(turn));
    // of its own ratio about the middle: the short side bounds it
    double share = H / (W * s + H * c);
    assertThat(p.width() / (double) W).isCloseTo(share, within(0.001));
    assertThat(p.height() / (double) H).isCloseTo(share, within(0.001));
    for (double[] at : new double[][] {{0, 0}, {1, 0}, {0, 1}, {1, 1}}) {
      Point view =
          p.toView(
              new Point(
                  p.left() + at[0] * p.width() / (double) W,
                  p.top() + at[1] * p.height() / (double) W));
      assertThat(view.x()).isBetween(-0.001, 1.001);
      assertThat(view.y()).isBetween(-0.001, H / (double) W + 0.001);
    }
  }

  @Test
  void aRatioIsKept() {
    Projection p = Projection.of(set(2, 3, 0).with(new Crop(1, 0, 0, 0, 0)), W, H);
    assertThat(p.width()).isCloseTo(p.height(), within(1));
    Projection wide = Projection.of(Geometry.NONE.with(new Crop(16 / 9.0, 0, 0, 0, 0)), W, H);
    assertThat(wide.width()).isEqualTo(W);
    assertThat(wide.height()).isCloseTo(1688, within(1));
  }

  /** A crop that reaches beyond the picture is drawn in about its middle. */
  @Test
  void aCropBeyondThePictureIsHeldWithinIt() {
    Projection p = Projection.of(Geometry.NONE.with(new Crop(0, 0.5, 0.1, 0.8, 0.4)), W, H);
    assertThat(p.left() + p.width() / (double) W).isLessThanOrEqualTo(1.0001);
    assertThat(p.width() / (double) p.height()).isCloseTo(2, within(0.01));
    Projection nowhere = Projection.of(Geometry.NONE.with(new Crop(0, 2, 2, 0.3, 0.2)), W, H);
    assertThat(nowhere.width()).isEqualTo(W);
  }

  @Test
  void nonsenseIsRefused() {
    assertThatThrownBy(() -> new Crop(0, 0.1, 0.1, 0.001, 0.5)).hasMessageContaining("fiftieth");
    assertThatThrownBy(() -> new Crop(9, 0, 0, 0, 0)).hasMessageContaining("five times");
    assertThatThrownBy(() -> set(50, 0, 0))
        .hasMessageContaining("Straighten goes from −45 to 45 °");
    assertThatThrownBy(() -> set(Double.NaN, 0, 0)).hasMessageContaining("Straighten");
  }
}
