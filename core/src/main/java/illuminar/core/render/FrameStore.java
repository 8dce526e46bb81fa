package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.function.Function;

/** Frames as drawn for a preview, kept. Safe for many threads. */
final class FrameStore {
  private final Analysis analysis;
  private final RenderCache cache;

  FrameStore(Analysis analysis, RenderCache cache) {
    this.analysis = analysis;
    this.cache = cache;
  }

  private record Key(String frame, Raster raster) {}

  /** A frame at a raster, display-linear; not to be modified. */
  Picture at(String id, Raster raster) {
    return raster.equals(analysis.raster())
        // kept there
        ? analysis.draw(id, raster)
        : cache.get(
            new Key(id, raster),
            Picture.class,
            raster.pixels() * 12L,
            () -> analysis.draw(id, raster));
  }

  /** Frames at {@code part}, cut from kept pictures at {@code whole} where it lies within. */
  Function<String, Picture> within(Raster part, Raster whole) {
    return whole.holds(part)
        ? id -> at(id, whole).part(whole, part)
        : id -> analysis.draw(id, part);
  }
}
