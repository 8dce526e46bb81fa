package illuminar.server.upload;

import illuminar.server.intake.Source;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.storage.Store;
import illuminar.server.web.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
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
  private final Store store;

  Arrived(ArrivalRows rows, FrameRows frames, Store store) {
    this.rows = rows;
    this.frames = frames;
    this.store = store;
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
    String place = place(shoot, a.sha256());
    try {
      return new Waiting(a.name(), store.find(place));
    } catch (NoSuchFileException e) {
      // who reads it says so
      return new Waiting(a.name(), Path.of(place));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void taken(UUID shoot, List<String> names) {
    List<Arrival> gone = rows.findByShootIdAndNameIn(shoot, names);
    rows.deleteAll(gone);
    gone.forEach(a -> letGo(place(shoot, a.sha256())));
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
      Files.deleteIfExists(file);
      return;
    }
    long bytes = Files.size(file);
    store.write(place(shoot, sha256), half -> Files.move(file, half), half -> {});
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

  private static String place(UUID shoot, String sha256) {
    return "arrived/" + shoot + "/" + sha256;
  }

  private void letGo(String name) {
    try {
      store.letGo(name);
    } catch (IOException e) {
      // what cannot be deleted is in nobody's list any more
    }
  }
}
