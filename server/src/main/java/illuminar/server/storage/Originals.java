package illuminar.server.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.stereotype.Component;

/** Originals by their content: written once, never written again. */
@Component
public class Originals {
  private final Store store;

  Originals(Store store) {
    this.store = store;
  }

  private static String name(String sha256) {
    if (!sha256.matches("[0-9a-f]{64}")) {
      throw new IllegalArgumentException("not a content hash");
    }
    return "originals/" + sha256.substring(0, 2) + "/" + sha256;
  }

  /**
   * Copies a file in, durably.
   *
   * @param sha256 of its content, in hex
   * @throws IOException where it cannot be written or is another by now, with nothing half-written
   *     left behind
   */
  public void keep(Path file, String sha256) throws IOException {
    String name = name(sha256);
    if (!store.has(name)) {
      store.write(name, copy -> Files.copy(file, copy), copy -> compare(copy, sha256));
      store.find(name).toFile().setReadOnly();
    }
  }

  private static void compare(Path copy, String sha) throws IOException {
    if (!Sha256.of(copy).equals(sha)) {
      throw new IOException("it was not copied as it is");
    }
  }

  /** Deletes a content that nothing uses any more. */
  public void letGo(String sha256) throws IOException {
    store.letGo(name(sha256));
  }

  /**
   * Where the content can be read.
   *
   * @throws java.nio.file.NoSuchFileException where it is not there
   */
  public Path find(String sha256) throws IOException {
    return store.find(name(sha256));
  }
}
