package illuminar.server.storage;

import java.io.IOException;
import java.nio.file.Path;

/** Keeps originals by their content: written once, never written again. */
public interface Originals {

  /**
   * Copies a file in, durably, and gives its SHA-256 in hex.
   *
   * @throws IOException where it cannot be written, with nothing half-written left behind
   */
  String keep(Path file) throws IOException;

  /** Deletes a content that nothing uses any more. */
  void letGo(String sha256) throws IOException;

  /** Where the content can be read. */
  Path find(String sha256);
}
