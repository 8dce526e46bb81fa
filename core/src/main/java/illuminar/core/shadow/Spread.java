package illuminar.core.shadow;

import java.util.PriorityQueue;

/**
 * Spreads what is said at some places over a grid, more easily where neighbours are joined well (a
 * random walk from labelled places: Grady 2006), by successive over-relaxation.
 *
 * @param right how well each pixel is joined to the one on its right, above 0
 * @param below likewise to the one below
 */
record Spread(int width, int height, float[] right, float[] below) {
  private static final int ROUNDS = 100;
  private static final float OVER = 1.9f;

  /**
   * The easiest ways over the grid (Dijkstra 1959).
   *
   * @param from what is said at the place from which the way to each pixel is easiest
   * @param cost of that way, pixels where all are joined well
   */
  record Ways(int[] from, float[] cost) {}

  /**
   * @param said what is said at each pixel, 0 for nothing
   */
  Ways ways(int[] said) {
    int n = width * height;
    int[] from = said.clone();
    float[] cost = new float[n];
    PriorityQueue<Long> open = new PriorityQueue<>();
    for (int i = 0; i < n; i++) {
      cost[i] = said[i] == 0 ? Float.MAX_VALUE : 0;
      if (said[i] != 0) {
        open.add((long) i);
      }
    }
    int[] by = {-1, 1, -width, width};
    while (!open.isEmpty()) {
      long next = open.poll();
      int i = (int) next;
      if (Float.intBitsToFloat((int) (next >> 32)) > cost[i]) {
        continue;
      }
      int x = i % width;
      for (int k = 0; k < 4; k++) {
        int to = i + by[k];
        if (to < 0 || to >= n || k == 0 && x == 0 || k == 1 && x == width - 1) {
          continue;
        }
        float joined = k < 2 ? right[Math.min(i, to)] : below[Math.min(i, to)];
        float there = cost[i] + 1 / joined;
        if (there < cost[to]) {
          cost[to] = there;
          from[to] = from[i];
          open.add((long) Float.floatToIntBits(there) << 32 | to);
        }
      }
    }
    return new Ways(from, cost);
  }

  /**
   * @param said what is said at each pixel, times its weight
   * @param weight how much it counts
   * @param start first guess; overwritten and given back
   */
  float[] of(float[] said, float[] weight, float[] start) {
    int w = width;
    int n = w * height;
    for (int round = 0; round < ROUNDS; round++) {
      boolean down = round % 2 == 0;
      for (int k = 0; k < n; k++) {
        int i = down ? k : n - 1 - k;
        int x = i % w;
        float sum = said[i];
        float all = weight[i];
        if (x > 0) {
          sum += right[i - 1] * start[i - 1];
          all += right[i - 1];
        }
        if (x < w - 1) {
          sum += right[i] * start[i + 1];
          all += right[i];
        }
        if (i >= w) {
          sum += below[i - w] * start[i - w];
          all += below[i - w];
        }
        if (i + w < n) {
          sum += below[i] * start[i + w];
          all += below[i];
        }
        start[i] += OVER * (sum / all - start[i]);
      }
    }
    return start;
  }
}
