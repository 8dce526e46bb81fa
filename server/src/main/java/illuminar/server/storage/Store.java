package illuminar.server.storage;

import java.io.IOException;
import java.nio.file.Path;

/**
 * Where files are kept that cannot be made again: originals, what was sent, what was delivered.
 * Names are words with slashes between them. What was written is there whole, and durably.
 */
public interface Store {
  /**
   * Keeps a file, in place of what had the name before.
   *
   * @param write makes the file, which is not there
   * @param check reads it back, and fails where it is not what it should be
   * @throws IOException where it cannot be written, with nothing half-written left behind
   */
  void write(String name, WrittenWhole.Step write, WrittenWhole.Step check) throws IOException;

  /**
   * Where a file can be read; not to be written to.
   *
   * @throws java.nio.file.NoSuchFileException where there is none
   */
  Path find(String name) throws IOException;

  boolean has(String name) throws IOException;

  /** Deletes a file, where it is there. */
  void letGo(String name) throws IOException;
}
