package illuminar.server.intake;

import illuminar.server.account.Studio;
import illuminar.server.account.Studios;
import illuminar.server.shoot.Shoots;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A slot of the simulated card reader of a studio: a folder that behaves like a memory card. It is
 * only ever read, and may be missing.
 */
class Card implements Source {
  private final String id;
  private final Path folder;
  private final Shoots shoots;
  private final Studios studios;

  Card(String id, Path folder, Shoots shoots, Studios studios) {
    this.id = id;
    this.folder = folder.toAbsolutePath();
    this.shoots = shoots;
    this.studios = studios;
  }

  @Override
  public String id() {
    return id;
  }

  @Override
  public List<Waiting> files(UUID shoot) {
    if (shoots
        .findById(shoot)
        .flatMap(s -> studios.findById(s.studioId()))
        .filter(Studio::reader)
        .isEmpty()) {
      return List.of();
    }
    try (Stream<Path> list = Files.list(folder)) {
      // a link would lead out of the card
      return list.filter(p -> Files.isRegularFile(p, LinkOption.NOFOLLOW_LINKS))
          .map(p -> new Waiting(p.getFileName().toString(), p))
          .filter(w -> !w.name().startsWith("."))
          .sorted((a, b) -> a.name().compareTo(b.name()))
          .toList();
    } catch (IOException e) {
      // no card in the reader
      return List.of();
    }
  }

  @Override
  public void taken(UUID shoot, List<String> names) {
    // a card is only ever read
  }
}
