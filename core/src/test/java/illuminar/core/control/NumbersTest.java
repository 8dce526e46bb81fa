package illuminar.core.control;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

/** Ranges are part of a record and say in words what they refuse: common practice, no source. */
class NumbersTest {

  private record Sample(
      String plain,
      @Control(label = "High", unit = "%", from = 0, to = 1, step = 0.01, defaultValue = 1)
          double high,
      @Control(
              label = "Low",
              unit = "%",
              from = 0,
              to = 1,
              step = 0.01,
              defaultValue = 0,
              under = "high",
              apart = 0.05)
          double low,
      @Control(label = "Light", unit = "st", from = -4, to = 4, step = 0.5, defaultValue = 0)
          double light) {}

  @Test
  void numbersComeInTheOrderOfTheRecordWithoutWhatIsNoControl() {
    assertThat(Numbers.of(Sample.class))
        .extracting(Numbers.NumberControl::name)
        .containsExactly("high", "low", "light");
    Numbers.NumberControl low = Numbers.of(Sample.class).get(1);
    assertThat(low.under()).isEqualTo("high");
    assertThat(low.apart()).isEqualTo(0.05);
    assertThat(low.label()).isEqualTo("Low");
    assertThat(low.unit()).isEqualTo("%");
    assertThat(low.step()).isEqualTo(0.01);
    assertThat(low.to()).isEqualTo(1);
    assertThat(Numbers.of(Sample.class).get(2).from()).isEqualTo(-4);
  }

  @Test
  void theEndsOfARangeBelongToIt() {
    assertThatCode(() -> Numbers.check(Sample.class, "light", -4)).doesNotThrowAnyException();
    assertThatCode(() -> Numbers.check(Sample.class, "light", 4)).doesNotThrowAnyException();
    assertThatThrownBy(() -> Numbers.check(Sample.class, "light", 4.5))
        .hasMessage("Light goes from −4 to 4 st, not 4.5");
    assertThatThrownBy(() -> Numbers.check(Sample.class, "light", -5))
        .hasMessage("Light goes from −4 to 4 st, not −5");
    assertThatThrownBy(() -> Numbers.check(Sample.class, "light", Double.NaN))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** 0.3 − 0.25 is a little less than 0.05 in binary and yet far enough. */
  @Test
  void whatStaysUnderMayComeExactlyAsNearAsItSays() {
    assertThatCode(() -> Numbers.checkUnder(Sample.class, "low", 0.25, 0.3))
        .doesNotThrowAnyException();
    assertThatThrownBy(() -> Numbers.checkUnder(Sample.class, "low", 0.26, 0.3))
        .hasMessage("Low stays at least 5 % below high");
    assertThatThrownBy(() -> Numbers.checkUnder(Sample.class, "low", Double.NaN, 0.3))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
