package illuminar.server.delivery.format;

import illuminar.files.PictureWriter;
import illuminar.files.Written;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;

/**
 * TIFF, without loss.
 *
 * @param bits of a code, 8 or 16
 */
record Tiff(int bits) implements OutputFormat {
  @Override
  public String id() {
    return "TIFF_" + bits;
  }

  @Override
  public String name() {
    return "TIFF, " + bits + " bit";
  }

  @Override
  public String ending() {
    return "tif";
  }

  @Override
  public String mediaType() {
    return "image/tiff";
  }

  @Override
  public void write(Finished picture, Specification as, Path file) throws IOException {
    Written how = new Written(as.space(), 1, true, as.size().ppi());
    BufferedImage image = picture.image(as, bits);
    PictureWriter.tiff(image, how, picture.legend(), file);
  }
}
