package illuminar.server.intake;

import java.nio.file.Path;
import java.util.List;
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

  /** Files were taken in and need not be kept here. */
  void taken(UUID shoot, List<String> names);
}
