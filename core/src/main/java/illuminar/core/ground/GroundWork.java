package illuminar.core.ground;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.function.Function;

/** A ground with everything computed that has to see far. Safe for many threads. */
public interface GroundWork {

  /**
   * The ground at a raster, linear BT.2020; the same at every tiling.
   *
   * @param frames draws a frame at the raster, display-linear with sRGB primaries; perhaps they are
   *     drawn already
   */
  Picture draw(Raster raster, Function<String, Picture> frames);

  /** The moving things that were each taken from one frame, largest first. */
  List<MovingThings.Thing> things();
}
