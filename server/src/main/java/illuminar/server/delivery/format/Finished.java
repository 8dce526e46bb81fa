package illuminar.server.delivery.format;

import illuminar.core.analysis.Analysis;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.Display;
import illuminar.files.Legend;
import illuminar.server.reading.Wanted;

/**
 * One view at the size that was ordered, rendered tile by tile when a format asks for it, as long
 * as whoever makes it is wanted.
 */
public final class Finished {
  private static final int TILE = 512;

  private final DeliveryRender render;
  private final Recipe recipe;
  private final double scale;
  private final Legend legend;
  private final Raster whole;

  /**
   * @param scale size of the result against full size
   */
  public Finished(Analysis analysis, Recipe recipe, double scale, Legend legend) {
    render = new DeliveryRender(analysis, Wanted.here());
    this.recipe = recipe;
    this.scale = scale;
    this.legend = legend;
    whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), scale);
  }

  public int width() {
    return whole.width();
  }

  public int height() {
    return whole.height();
  }

  /** What is written into the file beside the picture. */
  public Legend legend() {
    return legend;
  }

  /** Interleaved 8-bit sRGB codes, row by row. */
  byte[] codes8() {
    byte[] rgb = new byte[width() * height() * 3];
    render.deliver(recipe, scale, TILE, TILE / 2, (tile, p) -> rows(Display.to8(p), tile, rgb));
    return rgb;
  }

  /** Interleaved 16-bit sRGB codes, row by row. */
  short[] codes16() {
    short[] rgb = new short[width() * height() * 3];
    render.deliver(recipe, scale, TILE, TILE / 2, (tile, p) -> rows(Display.to16(p), tile, rgb));
    return rgb;
  }

  private void rows(Object from, Raster tile, Object to) {
    int n = tile.width() * 3;
    for (int j = 0; j < tile.height(); j++) {
      System.arraycopy(from, j * n, to, ((tile.y() + j) * width() + tile.x()) * 3, n);
    }
  }
}
