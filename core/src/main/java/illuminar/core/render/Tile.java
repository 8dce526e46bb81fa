package illuminar.core.render;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.function.Function;

/**
 * A piece of the picture on its way through the passes.
 *
 * @param raster which pixels these are
 * @param picture their colours, linear BT.2020; a pass writes its result here
 * @param region the region's share at each pixel, 0 to 1, already turned round where outside is
 *     meant
 * @param amount gate × strength at each pixel, 0 to 1
 * @param frames draws a frame at these pixels, display-linear with sRGB primaries
 */
public record Tile(
    Raster raster,
    Picture picture,
    float[] region,
    float[] amount,
    Function<String, Picture> frames) {}
