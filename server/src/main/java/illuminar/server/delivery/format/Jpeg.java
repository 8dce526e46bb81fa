package illuminar.server.delivery.format;

import illuminar.files.PictureWriter;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** JPEG, 8 bit, sRGB. */
@Component
@Order(1)
class Jpeg implements OutputFormat {
  @Override
  public String id() {
    return "JPEG";
  }

  @Override
  public String name() {
    return "JPEG";
  }

  @Override
  public String ending() {
    return "jpg";
  }

  @Override
  public String mediaType() {
    return "image/jpeg";
  }

  @Override
  public boolean lossy() {
    return true;
  }

  @Override
  public void write(Finished picture, double quality, Path file) throws IOException {
    byte[] rgb = picture.codes8();
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
      PictureWriter.jpeg(
          PictureWriter.image8(picture.width(), picture.height(), rgb),
          quality,
          picture.legend(),
          out);
    }
  }
}
