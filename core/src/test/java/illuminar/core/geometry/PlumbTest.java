package illuminar.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import java.util.Random;
import org.bytedeco.javacpp.indexer.DoubleIndexer;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgcodecs;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Size;
import org.junit.jupiter.api.Test;

/**
 * Pictures of a level camera as OpenCV's warp shows them to one that is tilted (a pinhole, Hartley
 * and Zisserman 2003, 8.4.2), set upright without a hand.
 */
class PlumbTest {
  private static final double FOCAL = 24;

  /** The tilted camera sees the middle of what the level one saw. */
  private static final double MIDDLE = 0.6;

  private static final Mat ROOM =
      opencv_imgcodecs.imread("../demo/card/FWH_0114.JPG", opencv_imgcodecs.IMREAD_GRAYSCALE);

  private static final int W = (int) (ROOM.cols() * MIDDLE);
  private static final int H = (int) (ROOM.rows() * MIDDLE);

  /** From the level camera's pixels to the tilted one's. */
  private static Projective tilt(double roll, double up) {
    double f = FOCAL / 36 * ROOM.cols();
    double o = Math.toRadians(-roll);
    double u = Math.toRadians(-up);
    return Projective.shift(-ROOM.cols() / 2.0, -ROOM.rows() / 2.0)
        .then(Projective.scale(1 / f))
        .then(Projective.of(1, 0, 0, 0, Math.cos(u), -Math.sin(u), 0, Math.sin(u), Math.cos(u)))
        .then(Projective.of(Math.cos(o), -Math.sin(o), 0, Math.sin(o), Math.cos(o), 0, 0, 0, 1))
        .then(Projective.scale(f))
        .then(Projective.shift(W / 2.0, H / 2.0));
  }

  private static Plane seen(Projective by) {
    Mat m = new Mat(3, 3, opencv_core.CV_64F);
    ((DoubleIndexer) m.createIndexer()).put(0, by.numbers());
    Mat out = new Mat();
    opencv_imgproc.warpPerspective(
        ROOM,
        out,
        m,
        new Size(W, H),
        opencv_imgproc.INTER_AREA,
        opencv_core.BORDER_REPLICATE,
        new org.bytedeco.opencv.opencv_core.Scalar(0));
    return Grey.of(out);
  }

  /** What plumb lines of the room lean by in the picture that was set upright, at the worst. */
  private static double left(Projective by, Geometry found) {
    Places p = new Places(found, W, H);
    double longEdge = Math.max(W, H);
    double worst = 0;
    for (double x : new double[] {0.3, 0.5, 0.7}) {
      Point[] ends = new Point[2];
      for (int k = 0; k < 2; k++) {
        double u = x * ROOM.cols();
        double v = (k == 0 ? 0.35 : 0.65) * ROOM.rows();
        ends[k] = p.toPlane(new Point(by.x(u, v) / longEdge, by.y(u, v) / longEdge));
      }
      double lean = Math.atan((ends[1].x() - ends[0].x()) / (ends[1].y() - ends[0].y()));
      worst = Math.max(worst, Math.abs(Math.toDegrees(lean)));
    }
    return worst;
  }

  private static final Geometry START =
      new Geometry(0, 0, 0, FOCAL / MIDDLE, 0, 0, 0, 0, Crop.NONE);

  @Test
  void thirtyTiltsUpToEightDegreesAreSetUpright() {
    Random chance = new Random(11);
    double worst = 0;
    for (int k = 0; k < 30; k++) {
      double turn = chance.nextDouble() * 6 - 3;
      double up = chance.nextDouble() * 16 - 8;
      Projective by = tilt(turn, up);
      Plumb.Found found = Plumb.of(seen(by), START, W, H);
      assertThat(found.sure()).isTrue();
      worst = Math.max(worst, left(by, found.geometry()));
    }
    assertThat(worst).isLessThanOrEqualTo(0.1);
  }

  /** A picture that stands upright is not made to lean. */
  @Test
  void anUprightPictureStaysUpright() {
    Projective level = tilt(0, 0);
    Plumb.Found found = Plumb.of(seen(level), START, W, H);
    assertThat(left(level, found.geometry())).isLessThanOrEqualTo(0.1);
    assertThat(found.before()).isLessThan(0.2);
  }

  /** Nothing to go by is said. */
  @Test
  void aBlankWallIsNotGuessedAt() {
    Plumb.Found found = Plumb.of(Plane.filled(W, H, 0.5f), START, W, H);
    assertThat(found.sure()).isFalse();
    assertThat(found.geometry()).isEqualTo(START);
  }
}
