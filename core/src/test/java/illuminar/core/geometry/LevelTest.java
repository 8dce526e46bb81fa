package illuminar.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.picture.Plane;
import java.util.Random;
import org.bytedeco.opencv.global.opencv_core;
import org.bytedeco.opencv.global.opencv_imgproc;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Point;
import org.bytedeco.opencv.opencv_core.Scalar;
import org.junit.jupiter.api.Test;

/**
 * A wall with shelves drawn by OpenCV as a pinhole sees it that is turned about its plumb line
 * (Hartley and Zisserman 2003, 8.4.2), laid level without a hand.
 */
class LevelTest {
  private static final int W = 900;
  private static final int H = 600;
  private static final double FOCAL = 24;

  private static final Geometry START = new Geometry(0, 0, 0, FOCAL, 0, 0, 0, 0, Crop.NONE);

  /** Shelves of the wall in front, and the edges of floor and ceiling along the wall beside. */
  private static Plane room(double yaw, boolean beside) {
    Mat m = new Mat(H, W, opencv_core.CV_8U, new Scalar(150));
    for (int k = 0; k < 9; k++) {
      double y = -1.1 + 0.27 * k;
      band(m, yaw, new double[] {-2.2, y, 3}, new double[] {1.4, y, 3}, 40 + 14 * k);
    }
    if (beside) {
      for (double y : new double[] {-1.3, -0.6, 0.9, 1.3}) {
        band(m, yaw, new double[] {1.5, y, 3}, new double[] {1.5, y, 1.6}, 220);
      }
    }
    return Grey.of(m);
  }

  private static void band(Mat m, double yaw, double[] from, double[] to, int tone) {
    opencv_imgproc.line(m, seen(yaw, from), seen(yaw, to), new Scalar(tone), 9, 16, SHIFT);
  }

  /** Bits of a pixel's fraction in what OpenCV draws. */
  private static final int SHIFT = 4;

  private static Point seen(double yaw, double[] p) {
    double r = Math.toRadians(yaw);
    double x = Math.cos(r) * p[0] - Math.sin(r) * p[2];
    double z = Math.sin(r) * p[0] + Math.cos(r) * p[2];
    double f = FOCAL / 36 * W * (1 << SHIFT);
    return new Point(
        (int) Math.round(f * x / z + W / 2.0 * (1 << SHIFT)),
        (int) Math.round(f * p[1] / z + H / 2.0 * (1 << SHIFT)));
  }

  @Test
  void wallsTurnedByUpToTwelveDegreesAreLaidLevel() {
    Random chance = new Random(3);
    for (int k = 0; k < 20; k++) {
      double yaw = chance.nextDouble() * 24 - 12;
      Level.Found found = Level.of(room(yaw, true), START, W, H);
      assertThat(found.sure()).isTrue();
      assertThat(Math.abs(found.geometry().yaw() - yaw)).isLessThanOrEqualTo(0.15);
    }
  }

  @Test
  void aWallThatLiesLevelIsLeft() {
    Level.Found found = Level.of(room(0, true), START, W, H);
    assertThat(Math.abs(found.geometry().yaw())).isLessThanOrEqualTo(0.1);
    assertThat(found.before()).isLessThan(0.2);
  }

  /** Nothing to go by is said. */
  @Test
  void aBlankWallIsNotGuessedAt() {
    Level.Found found = Level.of(Plane.filled(W, H, 0.5f), START, W, H);
    assertThat(found.sure()).isFalse();
    assertThat(found.geometry()).isEqualTo(START);
  }
}
