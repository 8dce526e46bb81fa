package illuminar.core.algebra;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Cuts beside all there are; the theorem that makes the least one a flow is Ford and Fulkerson's.
 */
class CutTest {
  private static final int NODES = 9;

  @Test
  void noPartingOfTheNodesIsCheaper() {
    for (int seed = 0; seed < 60; seed++) {
      Random chance = new Random(seed);
      int[][] between = new int[NODES][NODES];
      int[] far = new int[NODES];
      Cut cut = new Cut(NODES);
      for (int a = 0; a < NODES; a++) {
        far[a] = chance.nextInt(41) - 20;
        cut.far(a, far[a]);
        for (int b = a + 1; b < NODES; b++) {
          if (chance.nextInt(3) > 0) {
            between[a][b] = chance.nextInt(12);
            between[b][a] = chance.nextInt(12);
            cut.between(a, b, between[a][b], between[b][a]);
          }
        }
      }
      long least = Long.MAX_VALUE;
      for (int sides = 0; sides < 1 << NODES; sides++) {
        boolean[] is = new boolean[NODES];
        for (int a = 0; a < NODES; a++) {
          is[a] = (sides >> a & 1) == 1;
        }
        least = Math.min(least, cost(is, far, between));
      }
      assertThat(cost(cut.farSide(), far, between)).as("seed %d", seed).isEqualTo(least);
    }
  }

  private static long cost(boolean[] isFar, int[] far, int[][] between) {
    long sum = 0;
    for (int a = 0; a < NODES; a++) {
      sum += isFar[a] ? far[a] : 0;
      for (int b = 0; b < NODES; b++) {
        sum += !isFar[a] && isFar[b] ? between[a][b] : 0;
      }
    }
    return sum;
  }
}
