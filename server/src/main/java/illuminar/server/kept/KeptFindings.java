package illuminar.server.kept;

import illuminar.core.shelf.Shelf;
import illuminar.server.storage.Sha256;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * What was found in the frames of views: windows, casts, bases of merges, edges of regions; by the
 * frames' contents and placing, and by the version of the core, whose findings may differ.
 */
@Component
public class KeptFindings {
  private final Kept kept;
  private final String version;

  KeptFindings(Kept kept, CoreVersion version) {
    this.kept = kept;
    this.version = version.fingerprint();
  }

  /**
   * The shelf of a view.
   *
   * @param frames all that its findings depend on: contents, placing, exposures, response, in words
   */
  public Shelf of(List<String> frames) {
    return new Folder("findings/" + Sha256.of(version + "\n" + String.join("\n", frames)) + "/");
  }

  private final class Folder implements Shelf {
    private final String folder;
    private final Set<String> here = ConcurrentHashMap.newKeySet();

    Folder(String folder) {
      this.folder = folder;
    }

    private String name(Class<?> type, Object question) {
      return folder + Sha256.of(type.getName() + "\n", Packed.bytes(question));
    }

    @Override
    public <T extends Record> Optional<T> find(Class<T> type, Object question) {
      String name = name(type, question);
      Optional<T> found = kept.read(name, in -> Packed.read(type, in));
      if (found.isPresent()) {
        here.add(name);
      }
      return found;
    }

    @Override
    public void put(Object question, Record found) {
      String name = name(found.getClass(), question);
      if (here.add(name)) {
        kept.write(name, out -> Packed.write(found, out));
      }
    }
  }
}
