package illuminar.server.delivery.format;

import illuminar.files.PictureWriter;
import java.io.IOException;
import java.nio.file.Path;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** TIFF, 16 bit, sRGB. */
@Component
@Order(2)
class Tiff16 implements OutputFormat {
  @Override
  public String id() {
    return "TIFF_16";
  }

  @Override
  public String name() {
    return "TIFF, 16 bit";
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
  public boolean lossy() {
    return false;
  }

  @Override
  public void write(Finished picture, double quality, Path file) throws IOException {
    PictureWriter.tiff(
        PictureWriter.image16(picture.width(), picture.height(), picture.codes16()),
        picture.legend(),
        file);
  }
}
