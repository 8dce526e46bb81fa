package illuminar.server.delivery;

import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.Display;
import illuminar.core.render.Renderer;
import illuminar.files.Legend;
import illuminar.files.PictureWriter;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** Renders one picture tile by tile into a file. */
final class Finished {
  private static final int TILE = 512;

  private final Renderer renderer;
  private final Recipe recipe;
  private final double scale;
  private final Legend legend;
  private final Raster whole;

  Finished(Renderer renderer, Recipe recipe, double scale, Legend legend) {
    this.renderer = renderer;
    this.recipe = recipe;
    this.scale = scale;
    this.legend = legend;
    whole = Raster.whole(renderer.analysis().fullWidth(), renderer.analysis().fullHeight(), scale);
  }

  int width() {
    return whole.width();
  }

  int height() {
    return whole.height();
  }

  void write(DeliveryWork.Format format, int quality, Path file) throws IOException {
    if (format == DeliveryWork.Format.JPEG) {
      byte[] rgb = new byte[width() * height() * 3];
      renderer.deliver(recipe, scale, TILE, TILE / 2, (tile, p) -> rows(Display.to8(p), tile, rgb));
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
        PictureWriter.jpeg(
            PictureWriter.image8(width(), height(), rgb), quality / 100.0, legend, out);
      }
      return;
    }
    short[] rgb = new short[width() * height() * 3];
    renderer.deliver(recipe, scale, TILE, TILE / 2, (tile, p) -> rows(Display.to16(p), tile, rgb));
    if (format == DeliveryWork.Format.TIFF_16) {
      Files.deleteIfExists(file);
      PictureWriter.tiff(PictureWriter.image16(width(), height(), rgb), legend, file);
      return;
    }
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
      PictureWriter.png(PictureWriter.image16(width(), height(), rgb), legend, out);
    }
  }

  private void rows(Object from, Raster tile, Object to) {
    int n = tile.width() * 3;
    for (int j = 0; j < tile.height(); j++) {
      System.arraycopy(from, j * n, to, ((tile.y() + j) * width() + tile.x()) * 3, n);
    }
  }
}
