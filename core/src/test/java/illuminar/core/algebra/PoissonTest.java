package illuminar.core.algebra;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.IntPredicate;
import java.util.function.ToDoubleBiFunction;
import org.junit.jupiter.api.Test;

/**
 * Source: identities of the five-point Laplacian, which is exact for polynomials of the third
 * degree: it is 0 for x² − y² and x·y, and 4 for x² + y².
 */
class PoissonTest {
  private static final int W = 61;
  private static final int H = 47;

  @Test
  void whatIsHarmonicIsGivenBackFromItsRim() {
    assertThat(off((x, y) -> 0.01 * (x * x - y * y), 0, PoissonTest::inside)).isLessThan(0.01);
    assertThat(off((x, y) -> 0.01 * x * y - 0.3 * y, 0, PoissonTest::inside)).isLessThan(0.01);
  }

  @Test
  void aRightHandSideCountsWithItsSignChanged() {
    assertThat(off((x, y) -> 0.01 * (x * x + y * y), -0.04, PoissonTest::inside)).isLessThan(0.01);
  }

  @Test
  void aDiscAndAThinStrokeAreSolvedAsWell() {
    ToDoubleBiFunction<Integer, Integer> wave = (x, y) -> 0.01 * (x * x - y * y) + 0.2 * x;
    assertThat(off(wave, 0, i -> Math.hypot(i % W - 30, i / W - 23) < 20)).isLessThan(0.01);
    assertThat(off(wave, 0, i -> inside(i) && Math.abs(i / W - 10 - i % W / 4) < 2))
        .isLessThan(0.01);
  }

  @Test
  void nothingHoldsItFromTheGridsEdge() {
    boolean[] free = new boolean[W * H];
    float[] values = new float[W * H];
    for (int i = 0; i < free.length; i++) {
      free[i] = i / W < 20;
      values[i] = i / W == 20 ? 3 : 0;
    }
    new Poisson(W, H, free).solve(values, new float[W * H]);
    for (int i = 0; i < free.length; i++) {
      assertThat((double) values[i]).isCloseTo(i / W > 20 ? 0 : 3, within(0.01));
    }
  }

  private static boolean inside(int i) {
    int x = i % W;
    int y = i / W;
    return x > 0 && y > 0 && x < W - 1 && y < H - 1;
  }

  /** How far it is off a function at most where that is sought. */
  private static double off(
      ToDoubleBiFunction<Integer, Integer> of, double right, IntPredicate sought) {
    boolean[] free = new boolean[W * H];
    float[] values = new float[W * H];
    float[] rest = new float[W * H];
    for (int i = 0; i < free.length; i++) {
      free[i] = sought.test(i);
      values[i] = free[i] ? 0 : (float) of.applyAsDouble(i % W, i / W);
      rest[i] = (float) right;
    }
    new Poisson(W, H, free).solve(values, rest);
    double most = 0;
    for (int i = 0; i < free.length; i++) {
      most = Math.max(most, Math.abs(values[i] - of.applyAsDouble(i % W, i / W)));
    }
    return most;
  }
}
