package illuminar.core.algebra;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

/** Systems whose solution is known. Sources: a textbook example (from memory); the definition. */
class CholeskyTest {

  /** The usual example of the factorisation: L = [2; 6 1; −8 5 3]. */
  @Test
  void theTextbookSystemIsSolved() {
    double[][] m = {{4, 12, -16}, {12, 37, -43}, {-16, -43, 98}};
    double[] x = {1, -2, 3};
    double[] b = new double[3];
    for (int i = 0; i < 3; i++) {
      for (int j = 0; j < 3; j++) {
        b[i] += m[i][j] * x[j];
      }
    }
    assertThat(Cholesky.solve(m, b)).containsExactly(x, within(1e-9));
    assertThat(m[0][0]).isCloseTo(2, within(1e-9));
    assertThat(m[1][0]).isCloseTo(6, within(1e-9));
    assertThat(m[2][1]).isCloseTo(5, within(1e-9));
    assertThat(m[2][2]).isCloseTo(3, within(1e-9));
  }

  /** Normal equations of random data: what comes out satisfies them. */
  @Test
  void anySymmetricPositiveSystemIsSolved() {
    Random random = new Random(2);
    for (int n = 1; n <= 8; n++) {
      double[][] rows = new double[3 * n][n];
      for (double[] row : rows) {
        for (int k = 0; k < n; k++) {
          row[k] = random.nextGaussian();
        }
      }
      double[][] m = new double[n][n];
      double[] b = new double[n];
      for (int i = 0; i < n; i++) {
        b[i] = random.nextGaussian();
        for (int j = 0; j < n; j++) {
          for (double[] row : rows) {
            m[i][j] += row[i] * row[j];
          }
        }
      }
      double[][] kept = new double[n][];
      for (int i = 0; i < n; i++) {
        kept[i] = m[i].clone();
      }
      double[] x = Cholesky.solve(m, b);
      for (int i = 0; i < n; i++) {
        double sum = 0;
        for (int j = 0; j < n; j++) {
          sum += kept[i][j] * x[j];
        }
        assertThat(sum).isCloseTo(b[i], within(1e-8));
      }
    }
  }

  /** What nothing is known about must not make the rest endless. */
  @Test
  void aSingularSystemStaysFinite() {
    double[] x = Cholesky.solve(new double[][] {{2, 0}, {0, 0}}, new double[] {4, 0});
    assertThat(x[0]).isCloseTo(2, within(1e-6));
    assertThat(x[1]).isFinite();
  }
}
