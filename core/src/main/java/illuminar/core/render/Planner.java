package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.geometry.Geometry;
import illuminar.core.ground.Ground;
import illuminar.core.ground.Grounds;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.PreparedPass;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Coverage;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Makes recipes ready to run: each pass looks at the picture below it on the small grid. A step
 * that stands on the same steps as before is taken over, whatever the order of the calls. Safe for
 * many threads.
 */
final class Planner {
  /** Steps and grounds that are kept, a quarter of a megabyte each. */
  private static final int MOST = 120;

  private final Analysis analysis;
  private final Masks masks;
  private final FrameStore frames;
  private final Afresh afresh;
  private final Map<Object, Made> kept = new LinkedHashMap<>(64, 0.75f, true);

  Planner(Analysis analysis, Masks masks, FrameStore frames) {
    this.analysis = analysis;
    this.masks = masks;
    this.frames = frames;
    afresh = new Afresh(analysis, masks);
  }

  /**
   * @param above the picture above the step on the small grid
   */
  private record Made(Object step, Developing above) {}

  /**
   * @param below the step below, or the ground
   * @param geometry of the finished picture, as far as the kind of pass goes by it
   */
  private record Key(
      Object below, Pass pass, List<Area> areas, double strength, Geometry geometry) {}

  Plan plan(Recipe recipe) {
    List<Step> steps = new ArrayList<>();
    Made now = keep(recipe.ground(), () -> ground(recipe.ground()));
    for (Pass pass : recipe.passes()) {
      if (recipe.active(pass)) {
        Made below = now;
        Key key =
            new Key(
                below.step,
                pass,
                Area.of(pass, recipe),
                recipe.strength(pass),
                PassKind.of(pass.move()).framed() ? recipe.geometry() : Geometry.NONE);
        now = keep(key, () -> step(key, recipe.ground(), List.copyOf(steps), below.above));
        steps.add((Step) now.step);
      }
    }
    return new Plan(recipe.ground(), List.copyOf(steps));
  }

  private Made keep(Object key, Supplier<Made> make) {
    synchronized (kept) {
      Made made = kept.get(key);
      if (made != null) {
        return made;
      }
    }
    Made made = make.get();
    synchronized (kept) {
      kept.put(key, made);
      while (kept.size() > MOST) {
        kept.remove(kept.keySet().iterator().next());
      }
    }
    return made;
  }

  private Made ground(Ground ground) {
    Raster grid = analysis.small();
    return new Made(
        ground, Developing.of(Grounds.draw(ground, analysis, grid, id -> analysis.draw(id, grid))));
  }

  /**
   * @param under the steps below it
   * @param below the picture above them on the small grid
   */
  private Made step(Key key, Ground ground, List<Step> under, Developing below) {
    Function<Raster, Picture> at = r -> afresh.picture(ground, under, r);
    Raster grid = analysis.small();
    Coverage coverage = masks.coverage(key.areas, grid, below);
    Function<Raster, Coverage> share =
        r -> masks.coverage(key.areas, r, live(key.areas) ? Developing.of(at.apply(r)) : below);
    PassInput input =
        new PassInput(analysis, grid, below, ground, at, share, coverage, key.geometry);
    PreparedPass prepared = key.pass.move().prepare(input);
    Step step = new Step(key.pass, key.areas, key.strength, prepared, at);
    Run run = new Run((grid.height() + 1) / 2, (s, p) -> coverage, r -> frames.within(r, grid));
    return new Made(step, run.over(List.of(step), below, grid));
  }

  private static boolean live(List<Area> areas) {
    return areas.stream().anyMatch(a -> a.region().live());
  }
}
