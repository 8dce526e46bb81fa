package illuminar.core.render;

/**
 * A pass with everything computed that has to see far, ready to work on tiles. Safe for many
 * threads.
 */
public interface Ready {

  /** How many pixels round a tile this pass reads at a scale. */
  int margin(double scale);

  /**
   * Works on a tile in place. Pixels within {@link #margin} of the tile's edge may come out wrong.
   */
  void apply(Tile tile);
}
