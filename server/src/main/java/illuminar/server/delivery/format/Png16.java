package illuminar.server.delivery.format;

import illuminar.files.PictureWriter;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** PNG, 16 bit, sRGB. */
@Component
@Order(3)
class Png16 implements OutputFormat {
  @Override
  public String id() {
    return "PNG_16";
  }

  @Override
  public String name() {
    return "PNG, 16 bit";
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
  public boolean lossy() {
    return false;
  }

  @Override
  public void write(Finished picture, double quality, Path file) throws IOException {
    short[] rgb = picture.codes16();
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
      PictureWriter.png(
          PictureWriter.image16(picture.width(), picture.height(), rgb), picture.legend(), out);
    }
  }
}
