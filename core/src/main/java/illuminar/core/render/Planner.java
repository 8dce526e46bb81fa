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

  private static final boolean[] NO_WAY = {};

  /**
   * @param above the picture above the step on the small grid
   */
  private record Made(Object step, Developing above) {}

  /**
   * @param below the step below, or the ground
   * @param turned whether it works where its region's parts take away
   * @param geometry of the finished picture, as far as the kind of pass goes by it
   */
  private record Key(
      Object below,
      Pass pass,
      boolean turned,
      List<Area> areas,
      double strength,
      Geometry geometry) {

    static Key of(Object below, Pass pass, boolean turned, Recipe recipe) {
      List<Area> areas = Area.of(pass, recipe);
      return new Key(
          below,
          pass,
          turned,
          bothWays(pass) ? oneWay(areas, turned) : areas,
          recipe.strength(pass),
          PassKind.of(pass.move()).framed() ? recipe.geometry() : Geometry.NONE);
    }

    /** The pass's own region by what it adds or takes away; its group's stays. */
    private static List<Area> oneWay(List<Area> areas, boolean turned) {
      List<Area> out = new ArrayList<>(areas);
      out.set(0, areas.get(0).oneWay(turned));
      return List.copyOf(out);
    }

    PreparedPass prepared(PassInput input) {
      return turned ? pass.move().otherWay(input) : pass.move().prepare(input);
    }
  }

  Plan plan(Recipe recipe) {
    List<Step> steps = new ArrayList<>();
    Made now = keep(recipe.ground(), () -> ground(recipe.ground()));
    for (Pass pass : recipe.passes()) {
      for (boolean turned : recipe.active(pass) ? ways(pass) : NO_WAY) {
        Made below = now;
        Key key = Key.of(below.step, pass, turned, recipe);
        now = keep(key, () -> step(key, recipe.ground(), List.copyOf(steps), below.above));
        steps.add((Step) now.step);
      }
    }
    return new Plan(recipe.ground(), List.copyOf(steps));
  }

  private static boolean bothWays(Pass pass) {
    return PassKind.of(pass.move()).bothWays() && !pass.where().everywhere();
  }

  private static boolean[] ways(Pass pass) {
    return bothWays(pass) ? new boolean[] {false, true} : new boolean[] {false};
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
    PassInput input =
        new PassInput(analysis, grid, below, ground, finer(key, at, below), coverage, key.geometry);
    PreparedPass prepared = key.prepared(input);
    Step step = new Step(key.pass, key.areas, key.strength, prepared, at);
    Run run = new Run((grid.height() + 1) / 2, (s, p) -> coverage, r -> frames.within(r, grid));
    return new Made(step, run.over(List.of(step), below, grid));
  }

  private PassInput.Finer finer(Key key, Function<Raster, Picture> at, Developing below) {
    return new PassInput.Finer() {
      @Override
      public Picture picture(Raster raster) {
        return at.apply(raster);
      }

      @Override
      public Coverage share(Raster raster) {
        Developing here = live(key.areas) ? Developing.of(at.apply(raster)) : below;
        return masks.coverage(key.areas, raster, here);
      }

      @Override
      public Object state() {
        return List.of(key.below, key.areas);
      }
    };
  }

  private static boolean live(List<Area> areas) {
    return areas.stream().anyMatch(a -> a.region().live());
  }
}
