package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.geometry.Laid;
import illuminar.core.ground.Ground;
import illuminar.core.ground.Grounds;
import illuminar.core.pass.work.UnsharpMask;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;

/**
 * Streams a whole view through its recipe in tiles, without keeping anything. The same passes in
 * the same arithmetic as in a {@link PreviewSession}: results do not depend on tiling or threads.
 */
public final class DeliveryRender {
  /** Bytes kept while passes look at the picture below them. */
  private static final long PLANNING = 40_000_000;

  private final Analysis analysis;
  private final Afresh afresh;
  private final Planner planner;
  private final BooleanSupplier wanted;

  public DeliveryRender(Analysis analysis) {
    this(analysis, () -> true);
  }

  /**
   * @param wanted asked between tiles and within them, from any thread; once it says no, the
   *     delivery ends with a {@link java.util.concurrent.CancellationException}
   */
  public DeliveryRender(Analysis analysis, BooleanSupplier wanted) {
    this.analysis = analysis;
    this.wanted = wanted;
    RenderCache cache = new RenderCache(PLANNING);
    FrameStore frames = new FrameStore(analysis, cache);
    Masks masks = new Masks(analysis, frames, cache, new GroundStore(analysis, frames, cache));
    afresh = new Afresh(analysis, masks);
    planner = new Planner(analysis, masks, frames);
  }

  /** Receives finished tiles, from several threads at once. */
  public interface Sink {
    void tile(Raster tile, Picture pixels);
  }

  /**
   * Renders the whole finished picture.
   *
   * @param scale size of the result against full size
   * @param tileWidth width of a tile; any value gives the same pixels, and larger ones are quicker
   *     where the picture is turned
   */
  public void deliver(Recipe recipe, double scale, int tileWidth, int tileHeight, Sink sink) {
    deliver(recipe, scale, OutputSharpness.NONE, tileWidth, tileHeight, sink);
  }

  /** The same, sharpened in the pixels that are delivered. */
  public void deliver(
      Recipe recipe,
      double scale,
      OutputSharpness sharpness,
      int tileWidth,
      int tileHeight,
      Sink sink) {
    UnsharpMask mask = sharpness.mask();
    analysis.frames().ready(recipe.frames(), scale);
    Plan plan = planner.plan(recipe);
    Laid laid = Laid.of(recipe.geometry(), analysis.fullWidth(), analysis.fullHeight());
    Raster whole = laid.projection().whole(scale);
    int across = (whole.width() + tileWidth - 1) / tileWidth;
    int down = (whole.height() + tileHeight - 1) / tileHeight;
    if (!(plan.ground() instanceof Ground.OneFrame)) {
      Grounds.of(plan.ground(), analysis);
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
              Raster read = about(tile, mask.margin(), whole);
              Picture drawn =
                  laid.picture(read, r -> afresh.picture(plan.ground(), plan.steps(), r, wanted));
              mask.apply(drawn);
              sink.tile(tile, read.equals(tile) ? drawn : drawn.cut(read, tile));
            });
  }

  /** A tile with what lies so near about it in the whole. */
  private static Raster about(Raster tile, int margin, Raster whole) {
    int x0 = Math.max(0, tile.x() - margin);
    int y0 = Math.max(0, tile.y() - margin);
    int x1 = Math.min(whole.width(), tile.x() + tile.width() + margin);
    int y1 = Math.min(whole.height(), tile.y() + tile.height() + margin);
    return whole.part(x0, y0, x1 - x0, y1 - y0);
  }
}
