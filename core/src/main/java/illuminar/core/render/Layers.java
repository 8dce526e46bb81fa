package illuminar.core.render;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Pictures above the first steps of a plan. What stands below the step that is being worked on is
 * kept, so that a control which moves works out that step and those above it alone.
 */
final class Layers {
  /** Previews of less than half size work edges out on pixels so many times finer. */
  static final int FINER = 2;

  private final RenderCache cache;
  private final Function<Raster, Run> runs;
  private final Grown grown;
  private final GroundStore grounds;

  /** A raster with so many pixels more to every side, within the view. */
  interface Grown {
    Raster by(Raster raster, int margin);
  }

  Layers(RenderCache cache, Function<Raster, Run> runs, Grown grown, GroundStore grounds) {
    this.cache = cache;
    this.runs = runs;
    this.grown = grown;
    this.grounds = grounds;
  }

  /**
   * The picture above all steps.
   *
   * @param still how many steps, from the ground up, stay as they are
   * @param finer 1, or {@link #FINER} to work edges out on finer pixels and average them
   */
  Picture top(Plan plan, int still, Raster raster, int finer) {
    int n = plan.size();
    int fine = finer == 1 ? 0 : plan.fineSteps();
    Raster wide = grown.by(raster, plan.margin(fine, n, raster.scale()));
    Developing done =
        finer == 1
            ? reach(
                new Stretch(plan, 0, n, still, wide, false), () -> grounds.at(plan.ground(), wide))
            : reach(
                new Stretch(plan, fine, n, still, wide, true),
                () -> averaged(plan, fine, still, wide));
    return done.settled(wide, raster);
  }

  /** The picture above the first {@code steps}, worked out on finer pixels. */
  private Picture averaged(Plan plan, int steps, int still, Raster wide) {
    int below = Math.min(steps, still);
    List<Step> above = plan.steps().subList(below, steps);
    Raster exact = wide.finer(FINER);
    Raster finer = grown.by(exact, plan.margin(0, steps, exact.scale()));
    if (above.isEmpty() || above.stream().anyMatch(s -> s.onTones() || s.looksBelow())) {
      return fine(plan, steps, below, finer).averaged(finer, exact, FINER);
    }
    // only the piece that is changed is worked out and averaged anew
    Picture base = fine(plan, below, below, finer);
    Picture out =
        cache
            .get(
                plan.key(below, finer, true),
                Picture.class,
                wide.pixels() * 12L,
                () -> base.averaged(finer, exact, FINER))
            .copy();
    Run.Piece piece = runs.apply(finer).piece(above, base, finer, 2 * FINER);
    if (!piece.nothing()) {
      putAveraged(piece, finer, exact, out);
    }
    return out;
  }

  private Picture fine(Plan plan, int steps, int still, Raster finer) {
    return reach(
            new Stretch(plan, 0, steps, still, finer, false),
            () -> grounds.at(plan.ground(), finer))
        .settled();
  }

  private static void putAveraged(Run.Piece piece, Raster finer, Raster exact, Picture out) {
    int left = finer.x() + piece.x() - exact.x();
    int top = finer.y() + piece.y() - exact.y();
    int x0 = Math.max(0, Math.floorDiv(left, FINER));
    int y0 = Math.max(0, Math.floorDiv(top, FINER));
    int x1 = Math.min(out.width(), Math.floorDiv(left + piece.light().width() + 1, FINER));
    int y1 = Math.min(out.height(), Math.floorDiv(top + piece.light().height() + 1, FINER));
    if (x0 >= x1 || y0 >= y1) {
      return;
    }
    Raster cut = exact.part(x0 * FINER, y0 * FINER, (x1 - x0) * FINER, (y1 - y0) * FINER);
    Raster whole = finer.part(piece.x(), piece.y(), piece.light().width(), piece.light().height());
    piece.light().averaged(whole, cut, FINER).into(out, 0, 0, x0, y0, x1 - x0, y1 - y0);
  }

  /**
   * Steps of a plan to be run on one raster.
   *
   * @param still how many steps of the plan stay as they are
   */
  private record Stretch(Plan plan, int from, int to, int still, Raster raster, boolean averaged) {
    Object key(int n) {
      return plan.key(n, raster, averaged);
    }

    int highestKept(RenderCache cache) {
      int n = to;
      while (n > from && !cache.has(key(n))) {
        n--;
      }
      return n;
    }

    /** Measures tones once for all moves of a step that works on them. */
    Developing kept(int n, Developing d) {
      return n < to && plan.steps().get(n).onTones() && !d.pending() ? d.metered() : d;
    }
  }

  /**
   * The picture above a stretch, from the highest that is kept; keeps what stands below the step
   * that is being changed.
   */
  private Developing reach(Stretch s, Supplier<Picture> base) {
    int start = s.highestKept(cache);
    Developing now =
        cache.get(
            s.key(start),
            Developing.class,
            s.raster.pixels() * 20L,
            () -> s.kept(start, Developing.of(base.get())));
    Run run = runs.apply(s.raster);
    int next = start;
    if (s.still > start && s.still < s.to) {
      now = run.over(s.plan.steps().subList(start, s.still), now, s.raster);
      now = s.kept(s.still, now);
      cache.put(s.key(s.still), now, now.bytes());
      next = s.still;
    }
    return run.over(s.plan.steps().subList(next, s.to), now, s.raster);
  }
}
