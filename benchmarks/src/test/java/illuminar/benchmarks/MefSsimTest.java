package illuminar.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.core.picture.Plane;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Facts that follow from the definition of Ma, Zeng, Wang, "Perceptual quality assessment for
 * multi-exposure image fusion", 2015, sections II and III.
 */
class MefSsimTest {
  private static final int SIZE = 48;

  private static Plane texture(double contrast, double mean) {
    Random random = new Random(4);
    Plane out = Plane.of(SIZE, SIZE);
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = (float) (mean + contrast * (random.nextDouble() - 0.5));
    }
    return out;
  }

  /** The best structure of one exposure is its own, so the exposure itself is perfect. */
  @Test
  void oneExposureIsItsOwnBestBlend() {
    Plane only = texture(0.4, 0.5);
    assertThat(MefSsim.of(List.of(only), only)).isCloseTo(1, within(1e-6));
  }

  /** The desired contrast is the highest of all exposures: a flatter blend scores less. */
  @Test
  void aFlatterBlendIsWorse() {
    List<Plane> exposures = List.of(texture(0.4, 0.5), texture(0.1, 0.8));
    double full = MefSsim.of(exposures, texture(0.4, 0.5));
    double half = MefSsim.of(exposures, texture(0.2, 0.5));
    double flat = MefSsim.of(exposures, texture(0, 0.5));
    assertThat(full).isGreaterThan(0.99);
    assertThat(half).isLessThan(full - 0.05);
    assertThat(flat).isLessThan(half - 0.3);
  }

  /** Mean intensity is taken out: where a patch stands in lightness does not count. */
  @Test
  void lightnessDoesNotCount() {
    List<Plane> exposures = List.of(texture(0.4, 0.3), texture(0.2, 0.7));
    assertThat(MefSsim.of(exposures, texture(0.4, 0.2)))
        .isCloseTo(MefSsim.of(exposures, texture(0.4, 0.6)), within(1e-4));
  }

  /** The opposite structure correlates negatively. */
  @Test
  void aNegativeIsWorst() {
    Plane only = texture(0.4, 0.5);
    Plane negative = only.copy();
    for (int i = 0; i < negative.data().length; i++) {
      negative.data()[i] = 1 - negative.data()[i];
    }
    assertThat(MefSsim.of(List.of(only), negative)).isLessThan(-0.9);
  }
}
