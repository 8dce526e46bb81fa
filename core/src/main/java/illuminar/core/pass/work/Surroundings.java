package illuminar.core.pass.work;

import illuminar.core.analysis.Analysis;
import illuminar.core.filter.Guided;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Plane;

/**
 * The tone of each pixel's surroundings, edges kept: the base of the picture below a pass.
 *
 * <p>Guided filter (He, Sun, Tang 2010) whose maps come from the small grid and are used with the
 * pixel's own tone at any size, so the base has the edges of the picture and no halo.
 */
public record Surroundings(Guided maps, int fullWidth, int fullHeight) {

  /**
   * @param reach share of the long edge that counts as surroundings
   * @param flat variance of tones, in stops squared, below which they are smoothed away
   */
  public static Surroundings of(PassInput below, double reach, float flat) {
    return of(below.stops(), below.analysis(), reach, flat);
  }

  /**
   * @param stops tones of a picture on the small grid, stops below white
   * @param reach share of the long edge that counts as surroundings
   * @param flat variance of tones, in stops squared, below which they are smoothed away
   */
  public static Surroundings of(Plane stops, Analysis analysis, double reach, float flat) {
    int radius = Math.max(2, (int) Math.round(Math.max(stops.width(), stops.height()) * reach));
    return new Surroundings(
        Guided.of(stops, stops, radius, flat), analysis.fullWidth(), analysis.fullHeight());
  }

  /** Reads the base along the rows of a tile, by a pixel's own tone in stops; for one thread. */
  public Guided.Rows rows(Tile tile) {
    return maps.rows(fullWidth, fullHeight, tile.raster());
  }
}
