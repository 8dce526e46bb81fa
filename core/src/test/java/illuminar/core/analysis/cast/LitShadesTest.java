package illuminar.core.analysis.cast;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;

/** Source: common practice, no source: a lit shade stays warm, a white wall does not. */
class LitShadesTest {
  private static final int W = 160;
  private static final int H = 100;

  @Test
  void aWarmBrightSpotIsAShade() {
    float[] found = found(lit(LitShadesTest::shade, 4, 0.6f));
    assertThat(found[36 * W + 47]).isGreaterThan(0.95f);
    assertThat(found[36 * W + 80]).isZero();
    assertThat(found[10 * W + 47]).isZero();
  }

  @Test
  void aWhiteThingInTheSameLightIsNone() {
    assertThat(found(lit(LitShadesTest::shade, 2.5f, 1))).containsOnly(0);
  }

  @Test
  void aWarmThingNoBrighterIsNone() {
    assertThat(found(lit(LitShadesTest::shade, 1.2f, 0.6f))).containsOnly(0);
  }

  @Test
  void aSunlitWallIsNone() {
    assertThat(found(lit(i -> box(i, 0, 0, 60, H), 4, 0.7f))).containsOnly(0);
    assertThat(found(lit(i -> box(i, 0, 40, W, 50), 4, 0.7f))).containsOnly(0);
  }

  /** Brighter and warmer than the wall all about it as well, but it fades into that. */
  @Test
  void whatALampThrowsOnAWallIsNone() {
    Picture room = lit(LitShadesTest::shade, 12, 0.4f);
    for (int i = 0; i < W * H; i++) {
      double square = Math.pow(i % W - 62, 2) + Math.pow(i / W - 36, 2);
      if (!shade(i)) {
        float thrown = (float) (0.3 * Math.exp(-square / (2 * 9 * 9)));
        room.r()[i] += thrown;
        room.g()[i] += 0.8f * thrown;
        room.b()[i] += 0.5f * thrown;
      }
    }
    float[] found = found(room);
    assertThat(found[36 * W + 47]).isGreaterThan(0.95f);
    assertThat(found[36 * W + 62]).isZero();
    assertThat(found[44 * W + 66]).isZero();
  }

  private static boolean shade(int i) {
    return box(i, 40, 30, 54, 42);
  }

  private static boolean box(int i, int left, int top, int right, int end) {
    return i % W >= left && i % W < right && i / W >= top && i / W < end;
  }

  /** A grey wall with a place that is brighter, and has less blue. */
  private static Picture lit(IntPredicate place, float brighter, float blue) {
    Picture p = Picture.of(W, H);
    for (int i = 0; i < W * H; i++) {
      float light = 0.1f * (place.test(i) ? brighter : 1);
      p.r()[i] = light;
      p.g()[i] = light;
      p.b()[i] = light * (place.test(i) ? blue : 1);
    }
    return p;
  }

  private static float[] found(Picture light) {
    Plane fine = Plane.of(W, H);
    for (int i = 0; i < W * H; i++) {
      fine.data()[i] = (light.r()[i] + light.g()[i] + light.b()[i]) / 3;
    }
    return LitShades.of(light, fine).data();
  }
}
