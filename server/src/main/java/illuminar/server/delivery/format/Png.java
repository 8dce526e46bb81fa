package illuminar.server.delivery.format;

import illuminar.files.PictureWriter;
import illuminar.files.Written;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * PNG, without loss.
 *
 * @param bits of a code, 8 or 16
 */
record Png(int bits) implements OutputFormat {
  @Override
  public String id() {
    return "PNG_" + bits;
  }

  @Override
  public String name() {
    return "PNG, " + bits + " bit";
  }

  @Override
  public String ending() {
    return "png";
  }

  @Override
  public String mediaType() {
    return "image/png";
  }

  @Override
  public void write(Finished picture, Specification as, Path file) throws IOException {
    Written how = new Written(as.space(), 1, true, as.size().ppi());
    BufferedImage image = picture.image(as, bits);
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
      PictureWriter.png(image, how, picture.legend(), out);
    }
  }
}
