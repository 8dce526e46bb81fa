package illuminar.server.delivery.format;

import illuminar.files.LinearDng;
import java.io.IOException;
import java.nio.file.Path;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Linear DNG of 16 bits, with which raw converters go on. */
@Component
@Order(7)
class Linear implements OutputFormat {
  @Override
  public String id() {
    return "DNG";
  }

  @Override
  public String name() {
    return "Linear DNG, 16 bit";
  }

  @Override
  public String ending() {
    return "dng";
  }

  @Override
  public String mediaType() {
    return "image/x-dng";
  }

  @Override
  public int bits() {
    return 16;
  }

  @Override
  public boolean watermarked() {
    return false;
  }

  @Override
  public void write(Finished picture, Specification as, Path file) throws IOException {
    LinearDng.write(picture.image(as, bits()), as.space(), picture.legend(), file);
  }
}
