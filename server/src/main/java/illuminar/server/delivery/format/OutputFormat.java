package illuminar.server.delivery.format;

import java.io.IOException;
import java.nio.file.Path;

/** A file format of a delivery; every bean of this type is offered. */
public interface OutputFormat {
  /** Its name in orders; never changed once files were delivered. */
  String id();

  /** Its name on screen. */
  String name();

  /** Ending of file names, without the dot. */
  String ending();

  String mediaType();

  /** Bits of a code that it is written from, 8 or 16. */
  int bits();

  /** Whether it is compressed with loss, so that a quality can be chosen. */
  default boolean lossy() {
    return false;
  }

  /** Whether it is one picture in an sRGB or other space, as readers of pictures open it. */
  default boolean picture() {
    return true;
  }

  /** Whether a watermark can be laid over it; not over what others go on with by hand. */
  default boolean watermarked() {
    return true;
  }

  /**
   * Writes a finished picture to a file that does not exist yet.
   *
   * @throws IOException where it cannot be written, or not as specified; what was begun is the
   *     caller's to remove
   */
  void write(Finished picture, Specification as, Path file) throws IOException;
}
