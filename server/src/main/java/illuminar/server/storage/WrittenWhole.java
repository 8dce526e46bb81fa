package illuminar.server.storage;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.stream.Stream;

/**
 * Files that are there whole or not at all: written beside their place under another name, on the
 * disk before they are moved there, and swept away where that did not come to its end.
 */
public final class WrittenWhole {
  private static final String HALF = ".part";

  private WrittenWhole() {}

  /** Writes or looks over a file. */
  public interface Step {
    void on(Path file) throws IOException;
  }

  /**
   * Writes a file.
   *
   * @param write makes the file, which is not there
   * @param check reads it back, and fails where it is not what it should be
   */
  public static void write(Path target, Step write, Step check) throws IOException {
    Path half = target.resolveSibling(target.getFileName() + HALF);
    try {
      Files.deleteIfExists(half);
      write.on(half);
      try (FileChannel written = FileChannel.open(half, StandardOpenOption.WRITE)) {
        written.force(true);
      }
      check.on(half);
      Files.move(half, target, StandardCopyOption.REPLACE_EXISTING);
    } finally {
      Files.deleteIfExists(half);
    }
  }

  /** Takes away what a crash left half written in a folder and those in it. */
  public static void sweep(Path folder) throws IOException {
    if (!Files.exists(folder)) {
      return;
    }
    try (Stream<Path> all = Files.walk(folder, 2)) {
      for (Path half : all.filter(p -> p.toString().endsWith(HALF)).toList()) {
        Files.deleteIfExists(half);
      }
    }
  }
}
