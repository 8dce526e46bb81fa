package illuminar.benchmarks.running;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** What lies in a folder. */
final class Folders {
  private Folders() {}

  /** All files in it and below, by their names. */
  static List<Path> files(Path folder) throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      return all.filter(Files::isRegularFile).sorted().toList();
    }
  }
}
