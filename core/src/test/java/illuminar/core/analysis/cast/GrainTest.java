package illuminar.core.analysis.cast;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.TestRoom;
import illuminar.core.picture.Picture;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What looks like paint, whatever light falls on it. Common practice, no source. */
class GrainTest {
  private static final int W = 120;
  private static final int H = 80;

  private static float[] paint(TestRoom.Light light) {
    Picture p = Picture.of(W, H);
    for (int i = 0; i < W * H; i++) {
      for (int c = 0; c < 3; c++) {
        p.channel(c)[i] = (float) light.at(i % W, i / W, c);
      }
    }
    return Grain.paint(p);
  }

  private static double mean(float[] paint) {
    double sum = 0;
    int n = 0;
    for (int y = 8; y < H - 8; y++) {
      for (int x = 8; x < W - 8; x++, n++) {
        sum += paint[y * W + x];
      }
    }
    return sum / n;
  }

  /** A lamp before a wall: light falls with the square of the distance (Lambert). */
  @Test
  void aWallBesideALampIsPaint() {
    assertThat(
            mean(
                paint((x, y, c) -> 0.05 + 300 / (Math.pow(x - 60, 2) + (y - 40) * (y - 40) + 400))))
        .isGreaterThan(0.95);
  }

  /** A pixel of the small grid is the mean of some hundred: their noise is a few thousandths. */
  @Test
  void noiseOfTheSmallGridIsStillPaint() {
    Random random = new Random(7);
    float[] noise = new float[W * H];
    for (int i = 0; i < noise.length; i++) {
      noise[i] = (float) (0.004 * random.nextGaussian());
    }
    assertThat(mean(paint((x, y, c) -> 0.3 * (1 + noise[y * W + x])))).isGreaterThan(0.9);
  }

  /** Boards seven pixels wide whose colour differs by a tenth from one to the next. */
  @Test
  void boardsAreNone() {
    double[] tone = {1, 0.9, 0.97, 0.86, 1.03, 0.93, 0.88};
    assertThat(mean(paint((x, y, c) -> 0.3 * tone[x / 7 % 7] * (1 + 0.04 * Math.sin(y * 1.9 + x)))))
        .isLessThan(0.1);
  }
}
