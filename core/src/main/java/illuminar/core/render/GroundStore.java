package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.ground.Grounds;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * Grounds as drawn for a preview, kept: passes stand on them, and edges of regions follow them.
 * Safe for many threads.
 */
final class GroundStore {
  private static final int BAND = 96;

  /** Bytes of a ground's frames at a raster up to which they are drawn whole, and kept. */
  private static final long WHOLE = 120_000_000;

  private final Analysis analysis;
  private final FrameStore frames;
  private final RenderCache cache;

  GroundStore(Analysis analysis, FrameStore frames, RenderCache cache) {
    this.analysis = analysis;
    this.frames = frames;
    this.cache = cache;
  }

  private record Key(Ground ground, Raster raster) {}

  /** A ground at a raster, linear BT.2020; not to be modified. */
  Picture at(Ground ground, Raster raster) {
    return cache.get(
        new Key(ground, raster), Picture.class, raster.pixels() * 12L, () -> drawn(ground, raster));
  }

  private Picture drawn(Ground ground, Raster raster) {
    if (!(ground instanceof Ground.OneFrame)) {
      Grounds.of(ground, analysis);
    }
    Map<String, Picture> whole = new HashMap<>();
    if (raster.pixels() * 12L * ground.sources().size() <= WHOLE) {
      // drawn before the bands ask for them side by side; passes mostly want them too
      ground.sources().forEach(id -> whole.put(id, frames.at(id, raster)));
    }
    Picture out = Picture.of(raster.width(), raster.height());
    Bands.of(
        raster.height(),
        BAND,
        (from, to) -> {
          Raster part = raster.part(0, from, raster.width(), to - from);
          Function<String, Picture> drawn =
              id ->
                  whole.containsKey(id)
                      ? whole.get(id).part(raster, part)
                      : analysis.draw(id, part);
          Grounds.draw(ground, analysis, part, drawn).rowsInto(out, 0, to - from, from);
        });
    return out;
  }
}
