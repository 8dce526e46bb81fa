package illuminar.scenes.outdoors;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Things round a house: what is near hides what is far, haze follows its law. */
class LayeredTest {
  private static Layered world(float haze, Layered.Layer... layers) {
    return new Layered(List.of(layers), PlainSky.noon(), 0, 3, haze);
  }

  private static float[] ahead(Layered world, double slope) {
    float n = (float) (1 / Math.sqrt(1 + slope * slope));
    return world.clear(0, 1.5f, 0, 0, (float) slope * n, -n);
  }

  private static Layered.Layer layer(Layered.Kind kind, float far, float high) {
    return new Layered.Layer(kind, far, high, 7);
  }

  @Test
  void overAHedgeIsTheSkyAndBelowItTheLawn() {
    Layered world = world(0, layer(Layered.Kind.HEDGE, 10, 2));
    float[] hedge = ahead(world, 0);
    float[] sky = ahead(world, 0.4);
    float[] lawn = ahead(world, -0.4);
    assertThat(sky[2]).as("blue").isGreaterThan(sky[0]);
    assertThat(hedge[1]).as("green").isGreaterThan(hedge[0]).isGreaterThan(hedge[2]);
    assertThat(lawn[1]).isGreaterThan(lawn[2]);
    assertThat(sky[1]).as("brighter than leaves").isGreaterThan(3 * hedge[1]);
  }

  @Test
  void theNearerThingHidesTheFartherOne() {
    Layered far = world(0, layer(Layered.Kind.FENCE, 31, 4));
    Layered both = world(0, layer(Layered.Kind.FENCE, 31, 4), layer(Layered.Kind.HEDGE, 10, 3));
    assertThat(ahead(far, 0)[0]).as("boards").isGreaterThan(ahead(far, 0)[1]);
    assertThat(ahead(both, 0)[1]).as("leaves").isGreaterThan(ahead(both, 0)[0]);
  }

  /** Source: Koschmieder's law, 1924: e^(−haze × distance). */
  @Test
  void hazeFollowsDistance() {
    float[] near = ahead(world(0.001f, layer(Layered.Kind.HEDGE, 100, 9)), 0);
    float[] far = ahead(world(0.001f, layer(Layered.Kind.HEDGE, 400, 9)), 0);
    assertThat(near[3]).isCloseTo((float) Math.exp(-0.1), within(1e-4f));
    assertThat(far[3]).isCloseTo((float) Math.exp(-0.4), within(1e-4f));
  }

  @Test
  void everyKindStandsOnTheGroundAndEndsBelowItsHeight() {
    for (Layered.Kind kind : Layered.Kind.values()) {
      Layered.Layer l = layer(kind, 20, 5);
      float[] c = new float[4];
      int met = 0;
      for (float u = 0; u < 200; u += 0.5f) {
        met += l.at(u, 0.2f, c) ? 1 : 0;
        assertThat(l.at(u, 5.5f, c)).as("%s above its height", kind).isFalse();
      }
      assertThat(met).as("%s at its foot", kind).isPositive();
    }
  }
}
