package illuminar.server.intake;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * Where files lie before they are taken in. Each source is a bean; the intake knows none by name.
 */
public interface Source {
  /**
   * A file that waits.
   *
   * @param name as the camera or the photographer named it; no path
   */
  record Waiting(String name, Path path) {}

  /** Short id, part of the ids of its files. */
  String id();

  /** What waits for a shoot, by name. */
  List<Waiting> files(UUID shoot);

  /** What waits for a shoot under a name. */
  default Optional<Waiting> file(UUID shoot, String name) {
    return files(shoot).stream().filter(w -> w.name().equals(name)).findFirst();
  }

  /** Files were taken in and need not be kept here. */
  void taken(UUID shoot, List<String> names);
}
