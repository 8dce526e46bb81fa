package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Pass;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Share;
import illuminar.core.region.Sight;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/**
 * A recipe's steps ready to run. Each pass has looked at the picture below it on the small grid.
 *
 * @param below the small picture under each step, and the final one
 */
record Plan(Ground ground, List<Step> steps, List<Developing> below) {
  static final Plan NONE = new Plan(new Ground.OneFrame(""), List.of(), List.of());

  /**
   * Plans a recipe; what stands under the first change since {@code before} is taken over.
   *
   * @param frames draws frames on the small grid or a part of it
   */
  static Plan of(
      Recipe recipe,
      Plan before,
      Analysis analysis,
      Masks masks,
      Sight.Frames frames,
      Supplier<Picture> smallGround) {
    Raster grid = analysis.small();
    List<Step> steps = new ArrayList<>();
    List<Developing> below = new ArrayList<>();
    boolean same = recipe.ground().equals(before.ground);
    Developing small = same ? before.below.get(0) : Developing.of(smallGround.get());
    below.add(small);
    for (Pass pass : recipe.passes()) {
      if (!recipe.active(pass)) {
        continue;
      }
      List<Area> areas = Area.of(pass, recipe);
      double strength = recipe.strength(pass);
      int k = steps.size();
      same = same && k < before.steps.size() && before.steps.get(k).serves(pass, areas, strength);
      if (same) {
        steps.add(before.steps.get(k));
        small = before.below.get(k + 1);
      } else {
        Share share = masks.share(areas, grid, small);
        Ready ready = pass.move().prepare(new Below(analysis, grid, small, share));
        Step step = new Step(pass, areas, strength, ready);
        steps.add(step);
        Run run = new Run((grid.height() + 1) / 2, (s, picture) -> share, frames);
        small = run.over(List.of(step), small, grid);
      }
      below.add(small);
    }
    return new Plan(recipe.ground(), List.copyOf(steps), List.copyOf(below));
  }

  /** Steps that this plan shares with another from the ground up; 0 if not even the ground. */
  int shared(Plan other) {
    int n = 0;
    while (ground.equals(other.ground)
        && n < Math.min(steps.size(), other.steps.size())
        && steps.get(n) == other.steps.get(n)) {
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
    return steps.subList(from, to).stream().mapToInt(s -> s.margin(scale)).sum();
  }

  /** What the picture above the first {@code n} steps is kept under. */
  Object key(int n, Raster raster, boolean averaged) {
    return List.of(raster, averaged, ground, List.copyOf(steps.subList(0, n)));
  }
}
