package illuminar.server.delivery.format;

import illuminar.files.PictureWriter;
import illuminar.files.Written;
import illuminar.server.web.Problem;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** JPEG, 8 bit. Where bytes are limited, the best quality that keeps to them. */
@Component
@Order(1)
class Jpeg implements OutputFormat {
  /** Quality below which a picture is not worth delivering. */
  private static final double LEAST = 0.3;

  /** How near the quality is found. */
  private static final double NEAR = 0.0005;

  /** A file of so much of the limit is near enough. */
  private static final double FULL = 0.99;

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
  public int bits() {
    return 8;
  }

  @Override
  public boolean lossy() {
    return true;
  }

  @Override
  public void write(Finished picture, Specification as, Path file) throws IOException {
    BufferedImage image = picture.image(as, bits());
    byte[] best = coded(picture, image, as, as.quality() / 100.0);
    if (as.mostBytes() > 0 && best.length > as.mostBytes()) {
      best = limited(picture, image, as).orElseThrow(() -> tooLarge(as));
    }
    Files.write(file, best);
  }

  private static Optional<byte[]> limited(Finished picture, BufferedImage image, Specification as)
      throws IOException {
    double low = LEAST;
    double high = as.quality() / 100.0;
    byte[] found = coded(picture, image, as, low);
    if (found.length > as.mostBytes()) {
      return Optional.empty();
    }
    while (high - low > NEAR && found.length < FULL * as.mostBytes()) {
      double middle = (low + high) / 2;
      byte[] tried = coded(picture, image, as, middle);
      if (tried.length > as.mostBytes()) {
        high = middle;
      } else {
        low = middle;
        found = tried;
      }
    }
    return Optional.of(found);
  }

  private static byte[] coded(
      Finished picture, BufferedImage image, Specification as, double quality) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream(1 << 20);
    Written how = new Written(as.space(), quality, as.fullChroma(), as.size().ppi());
    PictureWriter.jpeg(image, how, picture.legend(), out);
    return out.toByteArray();
  }

  private static Problem tooLarge(Specification as) {
    return new Problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "No quality keeps it below %,d bytes; choose a smaller size or allow more."
            .formatted(as.mostBytes()));
  }
}
