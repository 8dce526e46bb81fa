package illuminar.core.render;

import illuminar.core.colour.Stops;
import illuminar.core.pass.Gate;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Share;
import java.util.function.Function;

/**
 * Where and how strongly a pass works.
 *
 * @param raster which pixels these are
 * @param region the region's share at each pixel, already turned round where outside is meant
 * @param gate which tones underneath the pass may change
 * @param strength 0 to 1
 * @param frames draws a frame at these pixels, display-linear with sRGB primaries
 */
public record Tile(
    Raster raster, Share region, Gate gate, float strength, Function<String, Picture> frames) {

  /** How strongly the pass works on a pixel by its strength and gate, its region apart. */
  public float amount(Picture below, int i) {
    return gate.all() ? strength : strength * gate.open(Stops.of(below.luminanceAt(i)));
  }
}
