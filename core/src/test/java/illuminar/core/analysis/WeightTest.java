package illuminar.core.analysis;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.picture.Plane;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Sizes of Java's own arrays: The Java Virtual Machine Specification, 2.3; our own rules else. */
class WeightTest {
  private static final long SMALL = 400;

  record Found(
      Plane a, Plane b, List<double[]> lists, Map<String, byte[]> maps, Optional<short[]> o) {}

  @Test
  void arraysCountWhereverTheyLie() {
    Plane plane = Plane.of(100, 50);
    Found found =
        new Found(
            plane,
            Plane.of(100, 50),
            List.of(new double[1000]),
            Map.of("m", new byte[3000]),
            Optional.of(new short[500]));
    long arrays = 2 * 100 * 50 * 4 + 8000 + 3000 + 1000;
    assertThat(Weight.of(found)).isBetween(arrays, arrays + SMALL);
  }

  @Test
  void whatIsHeldTwiceCountsOnce() {
    Plane plane = Plane.of(100, 50);
    Found found = new Found(plane, plane, List.of(), Map.of(), Optional.empty());
    assertThat(Weight.of(found)).isBetween(20_000L, 20_000 + SMALL);
  }
}
