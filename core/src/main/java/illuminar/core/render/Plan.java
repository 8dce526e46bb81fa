package illuminar.core.render;

import illuminar.core.ground.Ground;
import illuminar.core.picture.Raster;
import java.util.List;

/** A recipe's steps ready to run, switched-off ones left out. */
record Plan(Ground ground, List<Step> steps) {

  int size() {
    return steps.size();
  }

  /**
   * How many steps, from the ground up, stay as they are while a control moves.
   *
   * @param moving id of the pass, group or region that the control belongs to; empty where none
   *     moves
   */
  int still(String moving) {
    int n = 0;
    while (n < steps.size() && !steps.get(n).dependsOn(moving)) {
      n++;
    }
    return n;
  }

  /** How many steps, from the ground up, a preview works out on finer pixels. */
  int fineSteps() {
    int n = steps.size();
    while (n > 0 && !steps.get(n - 1).fine()) {
      n--;
    }
    return n;
  }

  /** Pixels round a tile that steps from {@code from} up to {@code to} read. */
  int margin(int from, int to, double scale) {
    return Afresh.margin(steps.subList(from, to), scale);
  }

  /** The key under which the picture above the first {@code n} steps is kept. */
  Object key(int n, Raster raster, boolean averaged) {
    return List.of(raster, averaged, ground, List.copyOf(steps.subList(0, n)));
  }
}
