package illuminar.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.FloatRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Logarithm and power of two beside the JDK's. */
class StopsTest {

  @Property
  void stopsAreTheLogarithmOfLight(@ForAll @IntRange(min = -1500, max = 600) int hundredth) {
    float light = (float) Math.pow(2, hundredth / 100.0);
    assertThat(Stops.of(light)).isCloseTo((float) (Math.log(light) / Math.log(2)), within(0.0001f));
  }

  @Property
  void aRowOfLightIsThePowerOfTwo(@ForAll @FloatRange(min = -12, max = 12) float stops) {
    float[] in = {9, stops, stops / 2, 0};
    float[] out = new float[3];
    Stops.light(in, 1, out, 3);
    double exact = Math.pow(2, stops);
    assertThat((double) out[0]).isCloseTo(exact, within(exact * 1e-5));
    assertThat((double) out[1])
        .isCloseTo(Math.pow(2, stops / 2), within(Math.pow(2, stops / 2) * 1e-5));
    assertThat(out[2]).isEqualTo(1f);
  }

  /** More stops never give less light, not even by the last bit. */
  @Test
  void aRowOfLightRises() {
    float[] stops = new float[4001];
    for (int i = 0; i < stops.length; i++) {
      stops[i] = -10 + i * 0.005f;
    }
    float[] light = new float[stops.length];
    Stops.light(stops, 0, light, stops.length);
    for (int i = 1; i < light.length; i++) {
      assertThat(light[i]).isGreaterThan(light[i - 1]);
    }
  }

  @Test
  void bothWaysOfAPowerAgree() {
    float[] stops = new float[400];
    for (int i = 0; i < stops.length; i++) {
      stops[i] = -12 + i * 0.06f;
    }
    float[] light = new float[stops.length];
    Stops.light(stops, 0, light, stops.length);
    for (int i = 0; i < light.length; i++) {
      float one = Stops.light(stops[i]);
      assertThat(light[i]).isCloseTo(one, within(one * 2e-5f));
    }
  }
}
