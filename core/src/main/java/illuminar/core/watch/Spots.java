package illuminar.core.watch;

import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Gathers measures that lie near each other to spots. */
final class Spots {
  private static final int CELL = 16;

  private final int width;
  private final int height;
  private final int across;
  private final int down;
  private final double[] sum;
  private final int[] count;
  private final double[][] shares;

  /**
   * @param steps of what each measure is the sum, the ground first
   */
  Spots(int width, int height, int steps) {
    this.width = width;
    this.height = height;
    across = (width + CELL - 1) / CELL;
    down = (height + CELL - 1) / CELL;
    sum = new double[across * down];
    count = new int[across * down];
    shares = new double[across * down][steps];
  }

  /** What a spot comes to. */
  record Spot(Point at, double radius, double amount, int step, double weight) {}

  /**
   * Adds a measure at a pixel.
   *
   * @param share what each step does to it, of the same sign where it makes it worse
   */
  void add(double x, double y, double amount, double[] share) {
    int cell =
        Math.max(0, Math.min(down - 1, (int) (y / CELL))) * across
            + Math.max(0, Math.min(across - 1, (int) (x / CELL)));
    sum[cell] += amount;
    count[cell]++;
    for (int k = 0; k < share.length; k++) {
      shares[cell][k] += share[k];
    }
  }

  /**
   * The spots, heaviest first.
   *
   * @param least measures that a cell needs to count
   * @param most spots that are given
   */
  List<Spot> all(int least, int most) {
    List<Spot> out = new ArrayList<>();
    FloodFill.all(across, down, true, c -> count[c] >= least).forEach(c -> out.add(spot(c)));
    out.sort(Comparator.comparingDouble(Spot::weight).reversed());
    return out.subList(0, Math.min(most, out.size()));
  }

  private Spot spot(int[] cells) {
    double all = 0;
    int n = 0;
    double x = 0;
    double y = 0;
    double[] steps = new double[shares[0].length];
    for (int c : cells) {
      all += sum[c];
      n += count[c];
      x += (c % across + 0.5) * CELL * count[c];
      y += (c / across + 0.5) * CELL * count[c];
      for (int k = 0; k < steps.length; k++) {
        steps[k] += shares[c][k];
      }
    }
    x /= n;
    y /= n;
    double reach = CELL;
    for (int c : cells) {
      reach =
          Math.max(reach, Math.hypot((c % across + 0.5) * CELL - x, (c / across + 0.5) * CELL - y));
    }
    int worst = 0;
    for (int k = 1; k < steps.length; k++) {
      if (steps[k] > steps[worst]) {
        worst = k;
      }
    }
    double longEdge = Math.max(width, height);
    return new Spot(new Point(x / longEdge, y / longEdge), reach / longEdge, all / n, worst, all);
  }
}
