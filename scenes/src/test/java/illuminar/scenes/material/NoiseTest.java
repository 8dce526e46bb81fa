package illuminar.scenes.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Noise of textures: its range, its evenness, its smoothness. Source: the definition of value
 * noise.
 */
class NoiseTest {

  @Test
  void latticeValuesAreEvenlySpread() {
    int[] bins = new int[10];
    double sum = 0;
    int n = 0;
    for (int x = -30; x < 30; x++) {
      for (int y = -30; y < 30; y++) {
        for (int z = 0; z < 10; z++) {
          float v = Noise.hash(x, y, z);
          assertThat(v).isBetween(0f, 1f);
          bins[Math.min(9, (int) (v * 10))]++;
          sum += v;
          n++;
        }
      }
    }
    assertThat(sum / n).isCloseTo(0.5, within(0.01));
    // chi-squared with nine degrees of freedom: 27.9 is passed once in a thousand
    double chi = 0;
    for (int b : bins) {
      chi += Math.pow(b - n / 10.0, 2) / (n / 10.0);
    }
    assertThat(chi).isLessThan(27.9);
  }

  /** Neighbours of the lattice know nothing of each other. */
  @Test
  void neighboursAreUnrelated() {
    double sum = 0;
    int n = 0;
    for (int x = 0; x < 100; x++) {
      for (int y = 0; y < 100; y++) {
        sum += (Noise.hash(x, y, 3) - 0.5) * (Noise.hash(x + 1, y, 3) - 0.5);
        n++;
      }
    }
    // of evenly spread values the variance is 1 / 12
    assertThat(sum / n * 12).isCloseTo(0, within(0.04));
  }

  @Test
  void atLatticePointsValueNoiseIsTheLattice() {
    for (int k = -20; k < 20; k++) {
      assertThat(Noise.value(k, 2 * k, 7)).isCloseTo(Noise.hash(k, 2 * k, 7), within(1e-6f));
    }
  }

  @Test
  void itIsSmoothAndRepeats() {
    Random random = new Random(3);
    for (int k = 0; k < 500; k++) {
      float x = random.nextFloat() * 40 - 20;
      float y = random.nextFloat() * 40 - 20;
      float v = Noise.fractal(x, y, 1, 4);
      assertThat(v).isBetween(0f, 1f);
      assertThat(Noise.fractal(x, y, 1, 4)).isEqualTo(v);
      // the eased value changes by 1.5 times the step of its lattice at most; four octaves add up
      assertThat(Noise.fractal(x + 1e-3f, y, 1, 4)).isCloseTo(v, within(0.01f));
    }
  }

  @Test
  void aStepIsSmoothBetweenItsEnds() {
    assertThat(Noise.step(2, 4, 1.9f)).isZero();
    assertThat(Noise.step(2, 4, 3)).isEqualTo(0.5f);
    assertThat(Noise.step(2, 4, 4.1f)).isEqualTo(1);
    assertThat(Noise.mix(2, 6, 0.25f)).isEqualTo(3);
  }
}
