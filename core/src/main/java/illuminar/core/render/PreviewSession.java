package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.geometry.Laid;
import illuminar.core.measure.Reading;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PreparedPass;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Coverage;
import illuminar.core.region.Look;
import illuminar.core.region.Territory;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;

/**
 * Turns recipes of one view into previews and viewports, and keeps what it can. Results do not
 * depend on tiling, threads or what was kept; {@link DeliveryRender} gives the same pixels. Safe
 * for many threads.
 */
public final class PreviewSession {
  private static final int BAND = 48;

  /** Bytes of pictures, and of masks, that count as used lately. */
  private static final long LATELY = 16_000_000;

  private final Analysis analysis;
  private final FrameStore frames;
  private final GroundStore grounds;
  private final Masks masks;
  private final Planner planner;
  private final RenderCache cache;

  /**
   * @param cache where intermediates are kept
   */
  public PreviewSession(Analysis analysis, RenderCache cache) {
    this.analysis = analysis;
    this.cache = cache;
    frames = new FrameStore(analysis, cache);
    grounds = new GroundStore(analysis, frames, cache);
    masks = new Masks(analysis, frames, cache, grounds);
    planner = new Planner(analysis, masks, frames);
  }

  public Analysis analysis() {
    return analysis;
  }

  /** Bytes of what is kept and can be worked out or read again. */
  public long bytes() {
    return cache.bytes() + masks.bytes() + analysis.bytes() + analysis.frames().bytes();
  }

  /**
   * Lets go of what can be worked out or read again; whoever works with it now still can.
   *
   * @param part how much
   */
  public void letGo(Part part) {
    switch (part) {
      case FULL_SIZE -> analysis.frames().letGo();
      case NOT_LATELY -> {
        cache.shrink(LATELY);
        masks.shrink(LATELY);
        analysis.letGoDrawn();
      }
      case ALL -> {
        cache.shrink(0);
        masks.shrink(0);
        analysis.letGo();
      }
    }
  }

  /** What is let go; first what those who work at the size of a screen miss least. */
  public enum Part {
    /** The full size of frames. */
    FULL_SIZE,
    /** Pictures and masks that were not used lately, and the frames as drawn for findings. */
    NOT_LATELY,
    ALL
  }

  /** The picture at a raster, linear BT.2020, while no control moves. Not to be modified. */
  public Picture picture(Recipe recipe, Raster raster) {
    return picture(recipe, raster, "");
  }

  /**
   * The picture at a raster, linear BT.2020. Not to be modified.
   *
   * @param moving id of the pass, group or region that is being worked on, empty for none: what
   *     stands below it is kept for the next call
   */
  public Picture picture(Recipe recipe, Raster raster, String moving) {
    return picture(recipe, raster, moving, () -> true);
  }

  /**
   * The same as long as it is wanted.
   *
   * @param wanted asked every now and then, from any thread
   * @throws CancellationException once it is not wanted any more; what was found until then is kept
   */
  public Picture picture(Recipe recipe, Raster raster, String moving, BooleanSupplier wanted) {
    boolean small = raster.scale() * Layers.FINER <= 1.0001;
    return picture(recipe, raster, moving, small ? Layers.FINER : 1, wanted);
  }

  /**
   * The same in a hurry, while a control moves: edges are not worked out on finer pixels. Tones and
   * colours away from them are the same.
   *
   * @param moving id of the pass, group or region that the control belongs to
   */
  public Picture draft(Recipe recipe, Raster raster, String moving) {
    return picture(recipe, raster, moving, 1, () -> true);
  }

  /**
   * The finished picture at a raster of it, as long as it is wanted.
   *
   * @param laid how it lies on the view
   * @param raster of the finished picture
   * @throws CancellationException once it is not wanted any more
   */
  public Picture finished(
      Recipe recipe, Laid laid, Raster raster, String moving, BooleanSupplier wanted) {
    if (laid.projection().none()) {
      return picture(recipe, raster, moving, wanted);
    }
    if (raster.scale() * Layers.FINER > 1.0001) {
      return laid.picture(raster, r -> picture(recipe, r, moving, 1, wanted));
    }
    // laid on the finer pixels on which edges are worked out, then averaged
    Raster finer = raster.finer(Layers.FINER);
    return laid.picture(finer, r -> picture(recipe, r, moving, 1, wanted))
        .averaged(finer, finer, Layers.FINER);
  }

  /**
   * The finished picture as small as on a card: edges are not worked out on finer pixels, for which
   * frames would have to be read again.
   */
  public Picture card(Recipe recipe, Laid laid, Raster raster) {
    return laid.projection().none()
        ? draft(recipe, raster, "")
        : laid.picture(raster, r -> draft(recipe, r, ""));
  }

  private Picture picture(
      Recipe recipe, Raster raster, String moving, int finer, BooleanSupplier wanted) {
    analysis.frames().ready(recipe.frames(), raster.scale() * finer);
    Plan plan = planner.plan(recipe);
    Layers layers = new Layers(cache, r -> run(r, wanted), this::grown, grounds);
    return layers.top(plan, plan.still(moving), raster, finer);
  }

  private Raster grown(Raster raster, int margin) {
    return raster.grown(margin, analysis.fullWidth(), analysis.fullHeight());
  }

  private Run run(Raster raster) {
    return run(raster, () -> true);
  }

  private Run run(Raster raster, BooleanSupplier wanted) {
    return new Run(
        BAND,
        (step, below) -> masks.coverage(step.areas(), raster, below),
        r -> frames.within(r, raster),
        wanted);
  }

  /**
   * A region's coverage at a raster. One that looks below is drawn as its first pass sees it, or
   * over the finished picture where no pass uses it.
   *
   * @throws IllegalArgumentException if the recipe has no such region
   */
  public Coverage coverage(Recipe recipe, String id, Raster raster) {
    Territory region =
        recipe
            .territory(id)
            .orElseThrow(() -> new IllegalArgumentException("the recipe has no region " + id));
    List<Area> alone = List.of(new Area(region, false));
    if (!region.live()) {
      return masks.coverage(alone, raster, Developing.NOTHING);
    }
    List<Pass> below = new ArrayList<>(recipe.passes());
    int first = 0;
    while (first < below.size()
        && !(recipe.active(below.get(first))
            && Area.of(below.get(first), recipe).stream()
                .anyMatch(a -> a.region().region().id().equals(id)))) {
      first++;
    }
    Recipe under = recipe.withPasses(below.subList(0, first));
    Raster wide = grown(raster, region.margin(raster.scale()));
    Plan plan = planner.plan(under);
    Run run = run(wide);
    Developing seen = run.over(plan.steps(), Developing.of(grounds.at(plan.ground(), wide)), wide);
    return masks
        .coverage(alone, wide, seen)
        .part(raster.x() - wide.x(), raster.y() - wide.y(), raster.width(), raster.height());
  }

  /**
   * What a pass found out about the picture below it.
   *
   * @param plane 0 to 1; less than 0 where the pass does not work
   * @param sure whether the picture bears it out, or it is only the best guess
   */
  public record PassMap(Plane plane, boolean sure) {}

  /**
   * The map of a pass that makes one, such as the transmission of haze.
   *
   * @throws IllegalArgumentException if the recipe has no such pass, or it makes no map
   */
  public PassMap map(Recipe recipe, String pass, Raster raster) {
    Plan plan = planner.plan(recipe);
    for (int k = 0; k < plan.size(); k++) {
      Step step = plan.steps().get(k);
      if (step.of(pass) && step.prepared() instanceof PreparedPass.Mapped mapped) {
        Run run = run(raster);
        Developing below =
            run.over(
                plan.steps().subList(0, k),
                Developing.of(grounds.at(plan.ground(), raster)),
                raster);
        float[] share = masks.coverage(step.areas(), raster, below).copy();
        Plane map = mapped.map(below.settled(), raster);
        for (int i = 0; i < share.length; i++) {
          map.data()[i] = share[i] > 0.5f ? map.data()[i] : -1;
        }
        return new PassMap(map, mapped.sure());
      }
    }
    throw new IllegalArgumentException("the pass " + pass + " is off or makes no map");
  }

  /**
   * Why a pass does nothing where it is; empty where it works.
   *
   * @throws IllegalArgumentException if the recipe has no such pass, or it is off
   */
  public Optional<String> idle(Recipe recipe, String pass) {
    return planner.plan(recipe).steps().stream()
        .filter(step -> step.of(pass))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("the pass " + pass + " is off"))
        .prepared()
        .idle();
  }

  /** One frame at a raster as the camera rendered it, linear BT.2020. A new picture. */
  public Picture frame(String id, Raster raster) {
    Picture p = frames.at(id, raster).copy();
    WorkingSpace.fromSrgb(p.planes());
    return p;
  }

  /**
   * The colour of what a part looks at, averaged round a place.
   *
   * @param x pixels at full size
   * @param radius pixels at full size
   */
  public Reading colour(Recipe recipe, Look look, double x, double y, double radius) {
    double scale = Math.min(1, 8 / Math.max(1, radius));
    int reach = (int) Math.ceil(radius * scale) + 1;
    Raster whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), scale);
    int cx = (int) Math.max(0, Math.min(whole.width() - 1, (x + 0.5) * scale));
    int cy = (int) Math.max(0, Math.min(whole.height() - 1, (y + 0.5) * scale));
    Raster raster = grown(whole.part(cx, cy, 1, 1), reach);
    Picture p =
        switch (look.from()) {
          case GROUND -> grounds.at(recipe.ground(), raster);
          case FRAME -> frame(look.frame(), raster);
          case BELOW -> picture(recipe, raster);
        };
    return Reading.at(p, cx - raster.x(), cy - raster.y(), radius * scale);
  }
}
