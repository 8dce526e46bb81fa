package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.EvenBlendWork;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.core.region.RegionWork;
import illuminar.core.region.Share;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Turns a recipe into pixels. {@link #picture} serves previews and viewports and keeps what it can;
 * {@link #deliver} streams the full size through in tiles. Both run the same passes in the same
 * arithmetic: results do not depend on tiling, threads or what was kept.
 */
public final class Renderer {
  private static final int BAND = 48;
  private static final int GROUND_BAND = 96;

  private final Analysis analysis;
  private final RenderCache cache;
  private final FrameStore frames;
  private final Masks masks;
  private volatile Plan last = Plan.NONE;

  public Renderer(Analysis analysis, RenderCache cache) {
    this.analysis = analysis;
    this.cache = cache;
    frames = new FrameStore(analysis, cache);
    masks = new Masks(analysis, frames, cache);
  }

  public Analysis analysis() {
    return analysis;
  }

  private record GroundKey(Ground ground, Raster raster) {}

  /** The picture at a raster, linear BT.2020. Kept: not to be modified. */
  public Picture picture(Recipe recipe, Raster raster) {
    Plan before = last;
    Plan plan = plan(recipe, before);
    last = plan;
    int n = plan.steps().size();
    Raster wide =
        raster.grown(
            plan.margin(0, n, raster.scale()), analysis.fullWidth(), analysis.fullHeight());
    int start = n;
    while (start > 0 && !cache.has(plan.key(start, wide))) {
      start--;
    }
    long size = wide.pixels() * 12L;
    Picture base =
        start == 0
            ? ground(plan.ground(), wide)
            : cache.get(
                plan.key(start, wide), Picture.class, size, () -> ground(plan.ground(), wide));
    int changed = Math.max(0, plan.shared(before));
    if (changed > start && changed < n) {
      base = run(plan, start, changed, base, wide);
      cache.put(plan.key(changed, wide), base, size);
      start = changed;
    }
    return (start == n ? base : run(plan, start, n, base, wide)).part(wide, raster);
  }

  private Plan plan(Recipe recipe, Plan before) {
    return Plan.of(
        recipe,
        before,
        analysis,
        masks,
        () ->
            drawGround(
                recipe.ground(), analysis.small(), id -> analysis.draw(id, analysis.small())));
  }

  /** A region's share at a raster; kept. */
  public Share region(Region region, Raster raster) {
    return masks.share(region, false, raster);
  }

  /** One frame at a raster as the camera rendered it, linear BT.2020. A new picture. */
  public Picture frame(String id, Raster raster) {
    Picture p = frames.at(id, raster).copy();
    EvenBlendWork.toWork(p);
    return p;
  }

  private Picture ground(Ground ground, Raster raster) {
    return cache.get(
        new GroundKey(ground, raster),
        Picture.class,
        raster.pixels() * 12L,
        () -> groundInBands(ground, raster));
  }

  private Picture groundInBands(Ground ground, Raster raster) {
    Picture out = Picture.of(raster.width(), raster.height());
    if (ground instanceof Ground.EvenBlend blend) {
      analysis.blend(blend);
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

  private Picture drawGround(Ground ground, Raster raster, Function<String, Picture> frames) {
    if (ground instanceof Ground.OneFrame one) {
      Picture p = frames.apply(one.frame()).copy();
      EvenBlendWork.toWork(p);
      return p;
    }
    return analysis.blend((Ground.EvenBlend) ground).draw(raster);
  }

  /**
   * Runs steps over the whole of {@code wide} in bands, on all cores. {@code base} is not modified.
   */
  private Picture run(Plan plan, int from, int to, Picture base, Raster wide) {
    List<Share> shares = new ArrayList<>();
    for (Step s : plan.steps().subList(from, to)) {
      shares.add(masks.share(s, wide));
    }
    int margin = plan.margin(from, to, wide.scale());
    Picture out = Picture.of(wide.width(), wide.height());
    Bands.of(
        wide.height(),
        BAND,
        (y0, y1) -> {
          int top = Math.max(0, y0 - margin);
          int end = Math.min(wide.height(), y1 + margin);
          Raster tile = wide.part(0, top, wide.width(), end - top);
          Picture p = tile.equals(wide) ? base.copy() : base.part(wide, tile);
          for (int k = from; k < to; k++) {
            Share share = shares.get(k - from).part(0, top, wide.width(), end - top);
            plan.steps().get(k).apply(tile, p, share, frames.within(tile, wide));
          }
          p.rowsInto(out, y0 - top, y1 - y0, y0);
        });
    return out;
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
    if (plan.ground() instanceof Ground.EvenBlend blend) {
      analysis.blend(blend);
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
    RegionWork.Frames any = r -> r.equals(wide) ? once : id -> analysis.draw(id, r);
    Picture p = drawGround(plan.ground(), wide, once);
    for (Step s : plan.steps()) {
      s.apply(wide, p, masks.once(s, wide, any), once);
    }
    return p;
  }
}
