package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.EvenBlendWork;
import illuminar.core.ground.Ground;
import illuminar.core.measure.Reading;
import illuminar.core.pass.Pass;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.region.Share;
import illuminar.core.region.Sight;
import illuminar.core.region.Territory;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * Turns a recipe into pixels. {@link #picture} serves previews and viewports and keeps what it can;
 * {@link #deliver} streams the full size through in tiles. Both run the same passes in the same
 * arithmetic: results do not depend on tiling, threads or what was kept.
 */
public final class Renderer {
  private static final int BAND = 48;
  private static final int GROUND_BAND = 96;

  /** Previews of less than half size work edges out on pixels so many times finer. */
  private static final int FINER = 2;

  private final Analysis analysis;
  private final RenderCache cache;
  private final FrameStore frames;
  private final Masks masks;
  private volatile Plan last = Plan.NONE;

  public Renderer(Analysis analysis, RenderCache cache) {
    this.analysis = analysis;
    this.cache = cache;
    frames = new FrameStore(analysis, cache);
    masks = new Masks(analysis, frames, cache, this::wholeGround);
  }

  public Analysis analysis() {
    return analysis;
  }

  /** The picture at a raster, linear BT.2020. Kept: not to be modified. */
  public Picture picture(Recipe recipe, Raster raster) {
    return picture(recipe, raster, raster.scale() * FINER <= 1.0001 ? FINER : 1);
  }

  /**
   * The same in a hurry, while a control moves: edges are not worked out on finer pixels. Tones and
   * colours away from them are the same.
   */
  public Picture draft(Recipe recipe, Raster raster) {
    return picture(recipe, raster, 1);
  }

  private Picture picture(Recipe recipe, Raster raster, int finer) {
    Plan before = last;
    Plan plan = plan(recipe, before);
    last = plan;
    int n = plan.steps().size();
    int shared = plan.shared(before);
    int fine = finer == 1 ? 0 : plan.fineSteps();
    Raster wide = grown(raster, plan.margin(fine, n, raster.scale()));
    Developing done =
        finer == 1
            ? reach(new Stretch(plan, 0, n, shared, wide, false), () -> ground(plan.ground(), wide))
            : reach(
                new Stretch(plan, fine, n, shared, wide, true),
                () -> averaged(plan, fine, shared, wide));
    return done.settled(wide, raster);
  }

  private Raster grown(Raster raster, int margin) {
    return raster.grown(margin, analysis.fullWidth(), analysis.fullHeight());
  }

  /** The picture above the first {@code steps}, worked out on finer pixels. */
  private Picture averaged(Plan plan, int steps, int shared, Raster wide) {
    int below = Math.min(steps, shared);
    List<Step> above = plan.steps().subList(below, steps);
    Raster exact = wide.finer(FINER);
    Raster finer = grown(exact, plan.margin(0, steps, exact.scale()));
    if (above.isEmpty() || above.stream().anyMatch(s -> s.onTones() || s.live())) {
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
    Run.Piece piece = run(finer).piece(above, base, finer, 2 * FINER);
    if (!piece.nothing()) {
      putAveraged(piece, finer, exact, out);
    }
    return out;
  }

  private Picture fine(Plan plan, int steps, int shared, Raster finer) {
    return reach(
            new Stretch(plan, 0, steps, shared, finer, false), () -> ground(plan.ground(), finer))
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
   * @param shared how many steps stood unchanged in the plan before
   */
  private record Stretch(Plan plan, int from, int to, int shared, Raster raster, boolean averaged) {
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
    Run run = run(s.raster);
    int next = start;
    if (s.shared > start && s.shared < s.to) {
      now = run.over(s.plan.steps().subList(start, s.shared), now, s.raster);
      now = s.kept(s.shared, now);
      cache.put(s.key(s.shared), now, now.bytes());
      next = s.shared;
    }
    return run.over(s.plan.steps().subList(next, s.to), now, s.raster);
  }

  private Run run(Raster raster) {
    return new Run(
        BAND,
        (step, below) -> masks.share(step.areas(), raster, below),
        r -> frames.within(r, raster));
  }

  private Plan plan(Recipe recipe, Plan before) {
    return Plan.of(
        recipe,
        before,
        analysis,
        masks,
        r -> frames.within(r, analysis.small()),
        () ->
            drawGround(
                recipe.ground(), analysis.small(), id -> analysis.draw(id, analysis.small())));
  }

  /**
   * A region's share at a raster. One that looks below is drawn as its first pass sees it, or over
   * the finished picture where no pass uses it.
   *
   * @throws IllegalArgumentException if the recipe has no such region
   */
  public Share region(Recipe recipe, String id, Raster raster) {
    Territory region =
        recipe
            .territory(id)
            .orElseThrow(() -> new IllegalArgumentException("the recipe has no region " + id));
    List<Area> alone = List.of(new Area(region, false));
    if (!region.live()) {
      return masks.share(alone, raster, Developing.NOTHING);
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
    Plan plan = plan(under, last);
    Run run = run(wide);
    Developing seen = run.over(plan.steps(), Developing.of(ground(plan.ground(), wide)), wide);
    return masks
        .share(alone, wide, seen)
        .part(raster.x() - wide.x(), raster.y() - wide.y(), raster.width(), raster.height());
  }

  /**
   * What a pass found out about the picture below it.
   *
   * @param plane 0 to 1; less than 0 where the pass does not work
   * @param sure whether the picture bears it out, or it is only the best guess
   */
  public record Told(Plane plane, boolean sure) {}

  /**
   * What a pass found out about the picture below it.
   *
   * @throws IllegalArgumentException if the recipe has no such pass, or it tells nothing
   */
  public Told told(Recipe recipe, String pass, Raster raster) {
    Plan plan = plan(recipe, last);
    for (int k = 0; k < plan.steps().size(); k++) {
      Step step = plan.steps().get(k);
      if (step.of(pass) && step.ready() instanceof Ready.Telling telling) {
        Run run = run(raster);
        Developing below =
            run.over(
                plan.steps().subList(0, k), Developing.of(ground(plan.ground(), raster)), raster);
        float[] share = masks.share(step.areas(), raster, below).copy();
        Plane told = telling.told(below.settled(), raster);
        for (int i = 0; i < share.length; i++) {
          told.data()[i] = share[i] > 0.5f ? told.data()[i] : -1;
        }
        return new Told(told, telling.sure());
      }
    }
    throw new IllegalArgumentException("the pass " + pass + " is off or tells nothing");
  }

  /** One frame at a raster as the camera rendered it, linear BT.2020. A new picture. */
  public Picture frame(String id, Raster raster) {
    Picture p = frames.at(id, raster).copy();
    EvenBlendWork.toWork(p);
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
          case GROUND -> wholeGround(recipe.ground(), raster);
          case FRAME -> frame(look.frame(), raster);
          case BELOW -> picture(recipe, raster);
        };
    return Reading.at(p, cx - raster.x(), cy - raster.y(), radius * scale);
  }

  private Picture ground(Ground ground, Raster raster) {
    Picture out = Picture.of(raster.width(), raster.height());
    if (!(ground instanceof Ground.OneFrame)) {
      analysis.ground(ground);
    }
    Bands.of(
        raster.height(),
        GROUND_BAND,
        (from, to) -> {
          Raster part = raster.part(0, from, raster.width(), to - from);
          drawGround(ground, part, frames.within(part, raster)).rowsInto(out, 0, to - from, from);
        });
    return out;
  }

  private Picture wholeGround(Ground ground, Raster raster) {
    return drawGround(ground, raster, id -> analysis.draw(id, raster));
  }

  private Picture drawGround(Ground ground, Raster raster, Function<String, Picture> frames) {
    if (ground instanceof Ground.OneFrame one) {
      Picture p = frames.apply(one.frame()).copy();
      EvenBlendWork.toWork(p);
      return p;
    }
    return analysis.ground(ground).draw(raster);
  }

  /** Receives finished tiles of a delivery, from several threads at once. */
  public interface Sink {
    void tile(Raster tile, Picture pixels);
  }

  /**
   * Renders the whole view in tiles without keeping anything.
   *
   * @param scale size of the result against full size
   * @param tileWidth width of a tile; any value gives the same pixels
   */
  public void deliver(Recipe recipe, double scale, int tileWidth, int tileHeight, Sink sink) {
    Plan plan = plan(recipe, Plan.NONE);
    Raster whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), scale);
    int margin = plan.margin(0, plan.steps().size(), scale);
    int across = (whole.width() + tileWidth - 1) / tileWidth;
    int down = (whole.height() + tileHeight - 1) / tileHeight;
    if (!(plan.ground() instanceof Ground.OneFrame)) {
      analysis.ground(plan.ground());
    }
    IntStream.range(0, across * down)
        .parallel()
        .forEach(
            k -> {
              int x = k % across * tileWidth;
              int y = k / across * tileHeight;
              Raster tile =
                  whole.part(
                      x,
                      y,
                      Math.min(tileWidth, whole.width() - x),
                      Math.min(tileHeight, whole.height() - y));
              Raster wide = tile.grown(margin, analysis.fullWidth(), analysis.fullHeight());
              sink.tile(tile, tile(plan, wide).part(wide, tile));
            });
  }

  private Picture tile(Plan plan, Raster wide) {
    Map<String, Picture> drawn = new HashMap<>();
    Function<String, Picture> once = id -> drawn.computeIfAbsent(id, i -> analysis.draw(i, wide));
    Sight.Frames any =
        r ->
            r.equals(wide)
                ? once
                : id ->
                    // a region's edge may need to see beyond the tile
                    wide.holds(r) && drawn.containsKey(id)
                        ? once.apply(id).part(wide, r)
                        : analysis.draw(id, r);
    Map<Raster, Picture> grounds = new HashMap<>();
    Function<Raster, Picture> ground =
        r -> grounds.computeIfAbsent(r, at -> drawGround(plan.ground(), at, any.apply(at)));
    Run run = new Run(wide.height(), (s, below) -> masks.once(s, wide, any, ground, below), any);
    return run.over(plan.steps(), Developing.of(ground.apply(wide)), wide).settled();
  }
}
