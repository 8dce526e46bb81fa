package illuminar.server.delivery.format;

import illuminar.core.analysis.Analysis;
import illuminar.core.geometry.Laid;
import illuminar.core.geometry.Projection;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.DeliveryRender;
import illuminar.core.render.OutputSharpness;
import illuminar.core.render.OutputSpace;
import illuminar.core.render.PreviewSession;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import illuminar.server.reading.Wanted;
import java.awt.image.BufferedImage;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/**
 * One view at the size that was ordered, rendered tile by tile when a format asks for it, once for
 * all codes that are wanted of it, as long as whoever makes it is wanted.
 */
public final class Finished {
  private static final int TILE = 512;
  private static final int TURNED_TILE = 1024;

  private final PreviewSession session;
  private final Laid laid;
  private final DeliveryRender render;
  private final Recipe recipe;
  private final OutputSharpness sharpness;
  private final double scale;
  private final Legend legend;
  private final Watermarks watermarks;
  private final Raster whole;
  private final int tileWidth;
  private final int tileHeight;
  private final Set<Depth> wanted;

  /** Arrays of codes, once they are rendered. */
  private final Map<Depth, Object> codes = new LinkedHashMap<>();

  /**
   * @param wanted in which codes formats will ask for it
   */
  public Finished(
      PreviewSession session,
      Recipe recipe,
      Size size,
      OutputSharpness sharpness,
      Legend legend,
      Set<Depth> wanted,
      Watermarks watermarks) {
    Analysis analysis = session.analysis();
    this.session = session;
    this.sharpness = sharpness;
    this.wanted = Set.copyOf(wanted);
    render = new DeliveryRender(analysis, Wanted.here());
    this.recipe = recipe;
    this.legend = legend;
    this.watermarks = watermarks;
    laid = Laid.of(recipe.geometry(), analysis.fullWidth(), analysis.fullHeight());
    Projection lies = laid.projection();
    scale = size.scale(lies.width(), lies.height());
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

  /**
   * The picture in codes of a space, with its watermark; not to be modified.
   *
   * @param bits of a code, 8 or 16
   */
  BufferedImage image(Specification as, int bits) {
    Object found = marked(codes(new Depth(as.space(), bits)), as);
    return bits == 8
        ? PictureWriter.image8(width(), height(), (byte[]) found)
        : PictureWriter.image16(width(), height(), (short[]) found);
  }

  private Object marked(Object codes, Specification as) {
    if (as.watermark().none()) {
      return codes;
    }
    // what others ask for stays as it is
    Object copy = codes instanceof byte[] eight ? eight.clone() : ((short[]) codes).clone();
    watermarks.over(copy, width(), height(), as.space().channels(), as.watermark());
    return copy;
  }

  private Object codes(Depth depth) {
    if (!wanted.contains(depth)) {
      throw new IllegalStateException(depth + " was not said to be wanted");
    }
    if (codes.isEmpty()) {
      Map<Depth, Object> all = new LinkedHashMap<>();
      wanted.forEach(d -> all.put(d, room(d)));
      render.deliver(
          recipe,
          scale,
          sharpness,
          tileWidth,
          tileHeight,
          (tile, p) -> all.forEach((d, to) -> rows(d, tile, p, to)));
      codes.putAll(all);
    }
    return codes.get(depth);
  }

  Recipe recipe() {
    return recipe;
  }

  /** The picture as another recipe would make it, 8-bit sRGB. */
  BufferedImage part(Recipe other) {
    Depth depth = new Depth(OutputSpace.SRGB, 8);
    Object to = room(depth);
    render.deliver(
        other, scale, sharpness, tileWidth, tileHeight, (tile, p) -> rows(depth, tile, p, to));
    return PictureWriter.image8(width(), height(), (byte[]) to);
  }

  /** A region's coverage as the picture lies: white inside. */
  BufferedImage mask(String region) {
    byte[] codes = new byte[Math.multiplyExact(width(), height())];
    for (int y = 0; y < height(); y += tileHeight) {
      for (int x = 0; x < width(); x += tileWidth) {
        int w = Math.min(tileWidth, width() - x);
        Raster tile = whole.part(x, y, w, Math.min(tileHeight, height() - y));
        float[] share = laid.picture(tile, r -> grey(region, r)).r();
        for (int i = 0; i < share.length; i++) {
          float within = Math.max(0, Math.min(1, share[i]));
          codes[(y + i / w) * width() + x + i % w] = (byte) Math.round(255 * within);
        }
      }
    }
    return PictureWriter.image8(width(), height(), codes);
  }

  private Picture grey(String region, Raster raster) {
    float[] share = session.coverage(recipe, region, raster).copy();
    Picture p = Picture.of(raster.width(), raster.height());
    for (int c = 0; c < 3; c++) {
      System.arraycopy(share, 0, p.channel(c), 0, share.length);
    }
    return p;
  }

  private Object room(Depth depth) {
    int n = Math.multiplyExact(Math.multiplyExact(width(), height()), depth.space().channels());
    return depth.bits() == 8 ? new byte[n] : new short[n];
  }

  private void rows(Depth depth, Raster tile, Picture p, Object to) {
    Object from = depth.bits() == 8 ? depth.space().codes8(p) : depth.space().codes16(p);
    int channels = depth.space().channels();
    int n = tile.width() * channels;
    for (int j = 0; j < tile.height(); j++) {
      int at = ((tile.y() + j) * width() + tile.x()) * channels;
      System.arraycopy(from, j * n, to, at, n);
    }
  }
}
