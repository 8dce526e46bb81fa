package illuminar.core.region;

import illuminar.core.analysis.Analysis;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.stream.Stream;

/**
 * Draws a region at any raster, the same at every tiling. Values are shares from 0 to 1. Each shape
 * is drawn by its class; here they are joined, grown, made edge-true and softened.
 */
public final class RegionWork {
  /** Feathers softer than this many raster pixels are drawn on a coarser raster. */
  private static final double DIRECT_SIGMA = 6;

  private final Territory territory;
  private final Sources sources;

  private RegionWork(Territory territory, Sources sources) {
    this.territory = territory;
    this.sources = sources;
  }

  /** The region's share at each pixel of the raster. */
  public static float[] draw(Territory territory, Raster raster, Sources sources) {
    return new RegionWork(territory, sources).whole(raster);
  }

  /** Something that can be drawn at any raster. */
  private interface Drawn {
    float[] at(Raster raster);
  }

  private float[] whole(Raster raster) {
    Region region = territory.region();
    float[] out = softened(region.feather(), raster, "whole", this::firm);
    float density = (float) region.density();
    for (int i = 0; i < out.length; i++) {
      float share = out[i] * density;
      out[i] = region.invert() ? 1 - share : share;
    }
    return out;
  }

  /** Softens what is drawn; {@code what} names it among all that this region keeps. */
  private float[] softened(double feather, Raster raster, String what, Drawn drawn) {
    double sigma = feather / 2 * raster.scale();
    if (sigma < 0.05) {
      return drawn.at(raster);
    }
    return sigma <= DIRECT_SIGMA || territory.live()
        ? feathered(sigma, raster, drawn)
        : coarse(feather, sigma, raster, what, drawn);
  }

  private float[] feathered(double sigma, Raster raster, Drawn drawn) {
    Raster wide = sources.grown(territory, raster, Gauss.reach(sigma));
    Plane hard = new Plane(wide.width(), wide.height(), drawn.at(wide));
    if (hard.nowhere()) {
      return new float[raster.pixels()];
    }
    return cut(Gauss.smooth(hard, sigma).data(), wide, raster);
  }

  /** A wide feather has no fine detail: drawn for the whole view where sigma is four pixels. */
  private float[] coarse(double feather, double sigma, Raster raster, String what, Drawn drawn) {
    double scale = raster.scale() * 4 / sigma;
    Analysis analysis = sources.analysis();
    Raster whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), scale);
    Plane soft =
        sources.keep(
            List.of(territory, what, whole),
            Plane.class,
            whole.pixels() * 4L,
            () ->
                Gauss.smooth(
                    new Plane(whole.width(), whole.height(), drawn.at(whole)),
                    feather / 2 * scale));
    return sources.spread(soft, raster);
  }

  /** The values at a raster, out of those at a wider one. */
  public static float[] cut(float[] values, Raster wide, Raster raster) {
    if (wide.equals(raster)) {
      return values;
    }
    float[] out = new float[raster.pixels()];
    for (int j = 0; j < raster.height(); j++) {
      System.arraycopy(
          values,
          (j + raster.y() - wide.y()) * wide.width() + raster.x() - wide.x(),
          out,
          j * raster.width(),
          raster.width());
    }
    return out;
  }

  /** Before it is softened. */
  private float[] firm(Raster raster) {
    if (territory.region().edge() == 0) {
      return sized(raster, true);
    }
    EdgeTrue edges = new EdgeTrue(territory, sources, this::sized);
    return used().allMatch(p -> p.shape().readsPixels())
        ? edges.ofPixels(raster, used().allMatch(p -> p.feather() == 0))
        : edges.ofLines(raster);
  }

  private Stream<Part> used() {
    return territory.region().parts().stream().filter(p -> !p.off());
  }

  /**
   * @param soft whether parts have their feather
   */
  private float[] sized(Raster raster, boolean soft) {
    double grow = territory.region().grow();
    int by = (int) Math.round(Math.abs(grow) * raster.scale());
    if (by == 0) {
      return joined(raster, soft);
    }
    Raster wide = sources.grown(territory, raster, by);
    return Grow.by(joined(wide, soft), wide, raster, by, grow > 0);
  }

  private float[] joined(Raster raster, boolean soft) {
    float[] out = new float[raster.pixels()];
    boolean first = true;
    for (Part part : used().toList()) {
      double feather = soft ? part.feather() : 0;
      float[] p =
          softened(
              feather, raster, "part " + part.id(), r -> part.shape().draw(r, territory, sources));
      float strength = (float) part.strength();
      Part.Combine how = first ? Part.Combine.ADD : part.combine();
      for (int i = 0; i < out.length; i++) {
        float m = part.invert() ? 1 - p[i] : p[i];
        out[i] =
            switch (how) {
              case ADD -> Math.max(out[i], m * strength);
              case TAKE_AWAY -> Math.min(out[i], 1 - m * strength);
              case OVERLAP -> out[i] + (Math.min(out[i], m) - out[i]) * strength;
            };
      }
      first = false;
    }
    return out;
  }
}
