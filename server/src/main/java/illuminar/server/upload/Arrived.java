package illuminar.server.upload;

import illuminar.server.Settings;
import illuminar.server.intake.Source;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.web.Problem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Files that were sent for a shoot, by their content's hash, until they are taken in. Names live in
 * the database alone, so that none of them ever is a path.
 */
@Component
@Order(1)
class Arrived implements Source {
  private final ArrivalRows rows;
  private final FrameRows frames;
  private final Path folder;

  Arrived(ArrivalRows rows, FrameRows frames, Settings settings) {
    this.rows = rows;
    this.frames = frames;
    folder = settings.home().toAbsolutePath().resolve("arrived");
  }

  @Override
  public String id() {
    return "sent";
  }

  @Override
  public List<Waiting> files(UUID shoot) {
    return rows.findByShootIdOrderByName(shoot).stream().map(a -> waiting(shoot, a)).toList();
  }

  @Override
  public Optional<Waiting> file(UUID shoot, String name) {
    return rows.findByShootIdAndName(shoot, name).map(a -> waiting(shoot, a));
  }

  private Waiting waiting(UUID shoot, Arrival a) {
    return new Waiting(a.name(), place(shoot, a.sha256()));
  }

  @Override
  public void taken(UUID shoot, List<String> names) {
    List<Arrival> gone = rows.findByShootIdAndNameIn(shoot, names);
    rows.deleteAll(gone);
    gone.forEach(a -> delete(place(shoot, a.sha256())));
  }

  /** Throws one away that will not be taken in. */
  void throwAway(UUID shoot, String name) {
    if (rows.findByShootIdAndName(shoot, name).isEmpty()) {
      throw Problem.notFound("file among those that were sent");
    }
    taken(shoot, List.of(name));
  }

  /** Which of some contents the shoot has, waiting or in its views. */
  Set<String> here(UUID shoot, List<String> hashes) {
    Set<String> here = new HashSet<>();
    if (!hashes.isEmpty()) {
      rows.findByShootIdAndSha256In(shoot, hashes).forEach(a -> here.add(a.sha256()));
      frames.findInShoot(shoot, hashes).stream().map(FrameRow::sha256).forEach(here::add);
    }
    return here;
  }

  /**
   * Takes over a file that was sent whole; the file is moved. What the shoot has already is
   * dropped.
   *
   * @param name as the sender named it; a number is added where another file bears it
   * @param sha256 of the content, hexadecimal
   */
  synchronized void come(UUID shoot, String name, String sha256, Path file) throws IOException {
    if (here(shoot, List.of(sha256)).contains(sha256)) {
      delete(file);
      return;
    }
    Path place = place(shoot, sha256);
    Files.createDirectories(place.getParent());
    long bytes = Files.size(file);
    Files.move(file, place, StandardCopyOption.ATOMIC_MOVE);
    rows.saveAndFlush(new Arrival(shoot, free(shoot, SentName.of(name)), sha256, bytes));
  }

  private String free(UUID shoot, SentName name) {
    for (int k = 1; ; k++) {
      String tried = name.numbered(k);
      if (rows.findByShootIdAndName(shoot, tried).isEmpty()) {
        return tried;
      }
    }
  }

  private Path place(UUID shoot, String sha256) {
    return folder.resolve(shoot.toString()).resolve(sha256);
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      // what cannot be deleted is in nobody's list any more
    }
  }
}
