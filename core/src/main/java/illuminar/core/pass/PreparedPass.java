package illuminar.core.pass;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Optional;

/**
 * A pass with everything computed that has to see far, ready to work on tiles. Safe for many
 * threads.
 */
public sealed interface PreparedPass {

  /**
   * Why the pass does nothing where it is: what it looks for is not there. Empty where it works.
   */
  default Optional<String> idle() {
    return Optional.empty();
  }

  /** A pass that changes colours or reads round about. */
  non-sealed interface OnLight extends PreparedPass {

    /** How many pixels round a tile this pass reads at a scale. */
    default int margin(double scale) {
      return 0;
    }

    /** Whether the pass reads the picture below it far from where it works, {@link Tile#below}. */
    default boolean far() {
      return false;
    }

    /**
     * Whether the pass has edges finer than the pixels of a preview, so that a preview has to be
     * worked out on finer pixels and averaged.
     */
    default boolean fine() {
      return false;
    }

    /**
     * Works on a tile in place. Pixels within {@link #margin} of the tile's edge may come out
     * wrong.
     *
     * @param picture linear BT.2020; modified
     */
    void apply(Tile tile, Picture picture);
  }

  /** A pass that finds out something about the picture below it that is worth looking at. */
  interface Mapped {
    /**
     * What it found at each pixel, 0 to 1.
     *
     * @param below the picture below the pass at the raster; not modified
     */
    Plane map(Picture below, Raster raster);

    /** Whether the picture bears out what was found, or it is only the best guess. */
    boolean sure();
  }

  /** A pass that only brightens and darkens, by one gain for all channels. */
  non-sealed interface OnTones extends PreparedPass {

    /**
     * Works on rows of a picture.
     *
     * @param tones of a picture as wide as the tile; both arrays are modified
     * @param start index of the tile's first pixel
     */
    void apply(Tile tile, Tones tones, int start);
  }
}
