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

  /** Whether it is compressed with loss, so that a quality can be chosen. */
  boolean lossy();

  /**
   * Writes a finished picture to a file that does not exist yet.
   *
   * @param quality 0 to 1; counts where the format is {@link #lossy}
   * @throws IOException where it cannot be written; what was begun is the caller's to remove
   */
  void write(Finished picture, double quality, Path file) throws IOException;
}
