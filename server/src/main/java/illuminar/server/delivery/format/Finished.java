package illuminar.server.delivery.format;

import illuminar.core.analysis.Analysis;
import illuminar.core.geometry.Projection;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.Display;
import illuminar.core.render.OutputSharpness;
import illuminar.files.Legend;
import illuminar.server.reading.Wanted;

/**
 * One view at the size that was ordered, rendered tile by tile when a format asks for it, as long
 * as whoever makes it is wanted.
 */
public final class Finished {
  private static final int TILE = 512;
  private static final int TURNED_TILE = 1024;

  private final DeliveryRender render;
  private final Recipe recipe;
  private final OutputSharpness sharpness;
  private final double scale;
  private final Legend legend;
  private final Raster whole;
  private final int tileWidth;
  private final int tileHeight;

  /**
   * @param longEdge pixels of the result's long edge, never enlarged; 0 for full size
   */
  public Finished(
      Analysis analysis, Recipe recipe, int longEdge, OutputSharpness sharpness, Legend legend) {
    this.sharpness = sharpness;
    render = new DeliveryRender(analysis, Wanted.here());
    this.recipe = recipe;
    this.legend = legend;
    Projection lies = Projection.of(recipe.geometry(), analysis.fullWidth(), analysis.fullHeight());
    int full = Math.max(lies.width(), lies.height());
    scale = longEdge == 0 ? 1 : Math.min(1, longEdge / (double) full);
    whole = lies.whole(scale);
    tileWidth = recipe.geometry().moves() ? TURNED_TILE : TILE;
    tileHeight = recipe.geometry().moves() ? TURNED_TILE : TILE / 2;
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
    render.deliver(
        recipe,
        scale,
        sharpness,
        tileWidth,
        tileHeight,
        (tile, p) -> rows(Display.to8(p), tile, rgb));
    return rgb;
  }

  /** Interleaved 16-bit sRGB codes, row by row. */
  short[] codes16() {
    short[] rgb = new short[width() * height() * 3];
    render.deliver(
        recipe,
        scale,
        sharpness,
        tileWidth,
        tileHeight,
        (tile, p) -> rows(Display.to16(p), tile, rgb));
    return rgb;
  }

  private void rows(Object from, Raster tile, Object to) {
    int n = tile.width() * 3;
    for (int j = 0; j < tile.height(); j++) {
      System.arraycopy(from, j * n, to, ((tile.y() + j) * width() + tile.x()) * 3, n);
    }
  }
}
