package illuminar.core.pass;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.FloatRange;
import org.junit.jupiter.api.Test;

/** The gate: a trapezoid over the tones, with soft sides (smoothstep, 3t² − 2t³). */
class GateTest {

  @Property
  void amountsAreMultipliedByHowFarItIsOpen(@ForAll @FloatRange(min = -16, max = 4) float stops) {
    Gate gate = new Gate(-7, -5.5, -2, -0.5);
    float[] amounts = {8, 8, 8};
    gate.limit(new float[] {0, stops, stops, stops}, 0, 1, 3, amounts);
    assertThat(amounts[0]).isEqualTo(8);
    assertThat(amounts[1]).isEqualTo(8 * gate.open(stops));
    assertThat(amounts[2]).isEqualTo(amounts[1]);
  }

  @Test
  void sidesAreSmooth() {
    Gate gate = new Gate(-8, -4, -2, 0);
    assertThat(gate.open(-7)).isCloseTo(3 * 0.0625f - 2 * 0.015625f, within(1e-6f));
    assertThat(gate.open(-6)).isCloseTo(0.5f, within(1e-6f));
    assertThat(gate.open(-1)).isCloseTo(0.5f, within(1e-6f));
  }

  /** From shut to open and shut again, never the other way. */
  @Test
  void itOpensOnceAndShutsOnce() {
    Gate gate = new Gate(-9, -6, -3, -1);
    float last = 0;
    for (float s = -12; s <= -6; s += 0.05f) {
      assertThat(gate.open(s)).isGreaterThanOrEqualTo(last);
      last = gate.open(s);
    }
    last = 1;
    for (float s = -3; s <= 1; s += 0.05f) {
      assertThat(gate.open(s)).isLessThanOrEqualTo(last);
      last = gate.open(s);
    }
    assertThat(last).isZero();
  }

  @Test
  void uprightSidesAreSharp() {
    Gate gate = new Gate(-4, -4, -2, -2);
    assertThat(gate.open(-4.01f)).isZero();
    assertThat(gate.open(-3.99f)).isEqualTo(1);
    assertThat(gate.open(-2.01f)).isEqualTo(1);
    assertThat(gate.open(-1.99f)).isZero();
    assertThat(gate.all()).isFalse();
  }
}
