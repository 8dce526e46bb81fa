package illuminar.core.render;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import illuminar.core.region.RegionWork;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;

/** Draws the shares of regions and keeps what it can. Safe for many threads. */
final class Masks {
  private static final int BAND = 128;

  private final Analysis analysis;
  private final FrameStore frames;
  private final RenderCache cache;
  private final GroundStore grounds;
  private final RenderCache wide = new RenderCache(160_000_000);

  Masks(Analysis analysis, FrameStore frames, RenderCache cache, GroundStore grounds) {
    this.analysis = analysis;
    this.frames = frames;
    this.cache = cache;
    this.grounds = grounds;
  }

  long bytes() {
    return wide.bytes();
  }

  void shrink(long bytes) {
    wide.shrink(bytes);
  }

  private record Key(Territory region, boolean outside, Raster raster) {}

  /**
   * The share at a raster that all of several regions leave; each is kept unless it looks at the
   * picture below.
   *
   * @param below the picture below the pass at the same raster, for regions that look at it
   */
  Coverage coverage(List<Area> areas, Raster raster, Developing below) {
    return all(areas, raster, a -> coverage(a.region(), a.outside(), raster, below));
  }

  private static Coverage all(List<Area> areas, Raster raster, Function<Area, Coverage> each) {
    return areas.stream()
        .map(each)
        .reduce(Coverage::and)
        .orElseGet(() -> Coverage.everywhere(raster.width(), raster.height()));
  }

  private Coverage coverage(Territory t, boolean outside, Raster raster, Developing below) {
    return t.live()
        ? drawn(t, outside, raster, new View(frames::within, raster, below))
        : cache.get(
            new Key(t, outside, raster),
            Coverage.class,
            raster.pixels() * 4L,
            () ->
                outside
                    ? coverage(t, false, raster, below).outside()
                    : drawn(t, false, raster, new View(frames::within, raster, below)));
  }

  private Coverage drawn(Territory region, boolean outside, Raster raster, Sources sources) {
    float[] out = new float[raster.pixels()];
    // drawn and kept whole before the bands ask for parts of it side by side
    region.ground().ifPresent(g -> sources.ground(g, raster));
    Bands.of(
        raster.height(),
        region.live() ? raster.height() : BAND,
        (from, to) -> {
          Raster part = raster.part(0, from, raster.width(), to - from);
          float[] m = RegionWork.draw(region, part, sources);
          System.arraycopy(m, 0, out, from * raster.width(), m.length);
        });
    Coverage share = Coverage.of(out, raster.width(), raster.height());
    return outside ? share.outside() : share;
  }

  /**
   * A step's share at a tile of a delivery; not kept.
   *
   * @param ground draws the recipe's ground for this tile
   */
  Coverage once(
      Step step,
      Raster tile,
      Sources.Frames frames,
      Function<Raster, Picture> ground,
      Developing below) {
    Sources sources =
        new View((part, whole) -> frames.apply(part), tile, below) {
          @Override
          public Picture ground(Ground same, Raster raster) {
            return raster.equals(analysis.raster())
                ? super.ground(same, raster)
                : ground.apply(raster);
          }
        };
    return all(
        step.areas(),
        tile,
        a -> {
          float[] m = RegionWork.draw(a.region(), tile, sources);
          Coverage share = Coverage.of(m, tile.width(), tile.height());
          return a.outside() ? share.outside() : share;
        });
  }

  /** Frames at a part of a raster whose pictures may be kept whole. */
  private interface FramesWithin {
    Function<String, Picture> at(Raster part, Raster whole);
  }

  /** What can be seen at one raster and its parts. */
  private class View implements Sources {
    private final FramesWithin within;
    private final Raster whole;
    private final Developing below;

    View(FramesWithin within, Raster whole, Developing below) {
      this.within = within;
      this.whole = whole;
      this.below = below;
    }

    @Override
    public Analysis analysis() {
      return analysis;
    }

    @Override
    public Picture frame(String id, Raster raster) {
      return within.at(raster, whole).apply(id);
    }

    @Override
    public Picture ground(Ground ground, Raster raster) {
      Raster at = whole.holds(raster) ? whole : raster;
      return grounds.at(ground, at).part(at, raster);
    }

    @Override
    public Raster seen(Raster raster) {
      return raster.clipped(whole);
    }

    @Override
    public Picture below(Raster raster) {
      if (below.nothing() || !whole.holds(raster)) {
        throw new IllegalStateException("a region that looks below belongs to a pass");
      }
      return below.settled().part(whole, raster);
    }

    @Override
    public <T> T keep(Object key, Class<T> type, long bytes, Supplier<T> make) {
      return wide.get(key, type, bytes, make);
    }
  }
}
