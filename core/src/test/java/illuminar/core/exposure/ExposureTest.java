package illuminar.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/**
 * Source: ISO 2720 / APEX: Ev = Av + Tv, one stop is a factor of two in time, speed or aperture
 * area.
 */
class ExposureTest {

  @Test
  void oneSecondAtF1AndIso100IsZero() {
    assertThat(new Exposure(1, 1, 100).stops()).isCloseTo(0, within(1e-12));
  }

  @Test
  void twiceTheTimeIsOneStopMore() {
    Exposure base = new Exposure(1 / 60.0, 8, 100);
    assertThat(base.stepTo(new Exposure(1 / 30.0, 8, 100))).isCloseTo(1, within(1e-12));
    assertThat(base.stepTo(new Exposure(1 / 60.0, 8, 400))).isCloseTo(2, within(1e-12));
    assertThat(base.stepTo(new Exposure(1 / 60.0, 8 * Math.sqrt(2), 100)))
        .isCloseTo(-1, within(1e-12));
  }

  /** Full-stop series of shutter times and apertures trade places. Source: the f-number series. */
  @Test
  void reciprocityHolds() {
    assertThat(new Exposure(1 / 125.0, 5.657, 100).stops())
        .isCloseTo(new Exposure(1 / 62.5, 8, 100).stops(), within(0.001));
  }

  @Test
  void senselessTagsAreRefused() {
    assertThatThrownBy(() -> new Exposure(0, 8, 100)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Exposure(1, Double.NaN, 100))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
