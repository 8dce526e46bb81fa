package illuminar.files;

import illuminar.core.frame.Codes;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;

/**
 * JPEGs read by libjpeg-turbo's command, four times as fast as through ImageIO, as they lie and
 * without regard to a profile.
 */
final class TurboJpeg {
  private static final Duration PATIENCE = Duration.ofMinutes(2);

  /** Long edge that a glance has at least. */
  private static final int GLANCE = 700;

  private final Path file;
  private final String name;

  TurboJpeg(Path file, String name) {
    this.file = file.toAbsolutePath();
    this.name = name;
  }

  /** All pixels. */
  Codes pixels() throws BadPicture {
    return read("1/1");
  }

  /**
   * The picture at a half, a quarter or an eighth of its size, as long as it stays large enough.
   */
  Codes glance(Header header) throws BadPicture {
    int by = 8;
    while (by > 1 && Math.max(header.width(), header.height()) / by < GLANCE) {
      by /= 2;
    }
    return read("1/" + by);
  }

  private Codes read(String scale) throws BadPicture {
    Program djpeg =
        new Program(List.of("djpeg", "-rgb", "-scale", scale, file.toString()), PATIENCE);
    try {
      Codes codes = djpeg.run(out -> Ppm.read(out, FileKind.JPEG, name, false));
      if (!djpeg.well() && PictureReader.tellsOfLoss(djpeg.said())) {
        throw new BadPicture(name, "the file is damaged or cut short");
      }
      return codes;
    } catch (IOException e) {
      throw new BadPicture(name, reason(djpeg), e);
    }
  }

  private static String reason(Program djpeg) {
    if (djpeg.missing()) {
      return "JPEG files cannot be read here: djpeg (libjpeg-turbo) is not installed";
    }
    return djpeg.said().contains("Unsupported color conversion")
        ? "its colours are neither RGB nor grey; convert it to RGB"
        : "the file is damaged or cut short";
  }
}
