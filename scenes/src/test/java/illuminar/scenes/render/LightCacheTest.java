package illuminar.scenes.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Light kept in cells: the mean of what was noted, whatever the order. Source: the definition. */
class LightCacheTest {
  private static final float CELL = 0.1f;

  private static float[] read(LightCache cache, float x, float y, float z, float nx, float ny) {
    float[] into = new float[2];
    return cache.read(x, y, z, nx, ny, 0, new SplittableRandom(1), into) ? into : null;
  }

  @Test
  void aCellHoldsTheMeanOfWhatArrived() {
    LightCache cache = new LightCache(2, CELL);
    SplittableRandom random = new SplittableRandom(4);
    double sum = 0;
    for (int k = 0; k < 200; k++) {
      float light = (float) random.nextDouble();
      sum += light;
      float x = 1 + CELL * (float) random.nextDouble();
      cache.note(x, 0.05f, 0.05f, 0, 1, 0, new float[] {light, 3});
    }
    cache.settle();
    float[] got = read(cache, 1.05f, 0.05f, 0.05f, 0, 1);
    assertThat((double) got[0]).isCloseTo(sum / 200, within(1e-4));
    assertThat(got[1]).isCloseTo(3, within(1e-4f));
  }

  /** Few arrivals are noise and are not believed. */
  @Test
  void whatIsHardlyKnownIsNotTold() {
    LightCache cache = new LightCache(2, CELL);
    for (int k = 0; k < 5; k++) {
      cache.note(0.05f, 0.05f, 0.05f, 0, 1, 0, new float[] {1, 1});
    }
    cache.settle();
    assertThat(read(cache, 0.05f, 0.05f, 0.05f, 0, 1)).isNull();
    assertThat(read(cache, 5, 5, 5, 0, 1)).isNull();
  }

  /** The two faces of a thin board see different light. */
  @Test
  void facesThatLookElsewhereAreKeptApart() {
    LightCache cache = new LightCache(2, CELL);
    for (int k = 0; k < 100; k++) {
      cache.note(0.05f, 0.05f, 0.05f, 0, 1, 0, new float[] {1, 0});
      cache.note(0.05f, 0.05f, 0.05f, 0, -1, 0, new float[] {7, 0});
    }
    cache.settle();
    assertThat(read(cache, 0.05f, 0.05f, 0.05f, 0, 1)[0]).isCloseTo(1, within(1e-4f));
    assertThat(read(cache, 0.05f, 0.05f, 0.05f, 0, -1)[0]).isCloseTo(7, within(1e-4f));
  }

  /** Sums are whole numbers, so threads that come in any order give the same bits. */
  @Test
  void theOrderOfThreadsMakesNoDifference() {
    float[] one = filled(false);
    float[] other = filled(true);
    assertThat(one).isEqualTo(other);
  }

  private static float[] filled(boolean parallel) {
    LightCache cache = new LightCache(2, CELL);
    IntStream order = IntStream.range(0, 20_000);
    (parallel ? order.parallel() : order)
        .forEach(
            i -> {
              float light = (float) Math.sin(i) + 1;
              float x = (i % 50) * CELL + 0.02f;
              cache.note(x, 0.05f, 0.05f, 0, 1, 0, new float[] {light, light * light});
            });
    cache.settle();
    float[] out = new float[100];
    for (int k = 0; k < 50; k++) {
      float[] got = read(cache, k * CELL + 0.05f, 0.05f, 0.05f, 0, 1);
      out[2 * k] = got[0];
      out[2 * k + 1] = got[1];
    }
    return out;
  }
}
