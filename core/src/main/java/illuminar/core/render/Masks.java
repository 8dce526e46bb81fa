package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.region.Region;
import illuminar.core.region.RegionWork;
import illuminar.core.region.Share;
import java.util.function.Supplier;

/** Draws the shares of regions and keeps what it can. Safe for many threads. */
final class Masks {
  private static final int BAND = 128;

  private final Analysis analysis;
  private final FrameStore frames;
  private final RenderCache cache;
  private final RenderCache softPlanes = new RenderCache(80_000_000);

  Masks(Analysis analysis, FrameStore frames, RenderCache cache) {
    this.analysis = analysis;
    this.frames = frames;
    this.cache = cache;
  }

  private record Key(Region region, boolean outside, Raster raster) {}

  /** A step's share at a raster; kept. */
  Share share(Step step, Raster raster) {
    if (step.region().isEmpty()) {
      return Share.everywhere(raster.width(), raster.height());
    }
    return share(step.region().get(), step.outside(), raster);
  }

  Share share(Region region, boolean outside, Raster raster) {
    return cache.get(
        new Key(region, outside, raster),
        Share.class,
        raster.pixels() * 4L,
        () ->
            outside
                ? share(region, false, raster).outside()
                : Share.of(inBands(region, raster), raster.width(), raster.height()));
  }

  private float[] inBands(Region region, Raster raster) {
    float[] out = new float[raster.pixels()];
    Bands.of(
        raster.height(),
        BAND,
        (from, to) -> {
          Raster part = raster.part(0, from, raster.width(), to - from);
          float[] m =
              RegionWork.draw(region, part, analysis, r -> frames.within(r, raster), this::soft);
          System.arraycopy(m, 0, out, from * raster.width(), m.length);
        });
    return out;
  }

  /** A step's share at a tile of a delivery; not kept. */
  Share once(Step step, Raster tile, RegionWork.Frames drawn) {
    if (step.region().isEmpty()) {
      return Share.everywhere(tile.width(), tile.height());
    }
    float[] m = RegionWork.draw(step.region().get(), tile, analysis, drawn, this::soft);
    Share share = Share.of(m, tile.width(), tile.height());
    return step.outside() ? share.outside() : share;
  }

  private Plane soft(Region region, Raster whole, Supplier<Plane> make) {
    return softPlanes.get(new Key(region, false, whole), Plane.class, whole.pixels() * 4L, make);
  }
}
