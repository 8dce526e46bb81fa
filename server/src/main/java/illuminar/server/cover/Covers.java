package illuminar.server.cover;

import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.files.ScreenJpeg;
import illuminar.server.Settings;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.View;
import illuminar.server.sitting.OpenViews;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Comparator;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * The small picture of each view as its recipe stands, kept on disk, because a view that is not
 * open takes seconds to open. One file for each edition of a recipe; older ones are cleared away.
 */
@Component
public class Covers {
  private static final Logger LOG = LoggerFactory.getLogger(Covers.class);
  private static final int EDGE = 960;

  private final Path folder;
  private final OpenViews open;

  Covers(Settings settings, OpenViews open) {
    folder = settings.home().resolve("covers");
    this.open = open;
  }

  private Path file(UUID view, long edition) {
    return folder.resolve(view.toString()).resolve(edition + ".jpg");
  }

  /**
   * The cover for a recipe; made where it is not kept. Where a pass asks for what the frames cannot
   * give, which the bench says, the newest that could be made.
   *
   * @throws IllegalArgumentException if none could ever be made; says what the pass asked for
   */
  public byte[] of(View view, RecipeService.State state) throws IOException {
    Path file = file(view.id(), state.edition());
    try {
      if (!Files.isRegularFile(file)) {
        make(view, state);
      }
      return Files.readAllBytes(file);
    } catch (IllegalArgumentException e) {
      return kept(view).orElseThrow(() -> e);
    }
  }

  /** The newest cover that is kept of a view, perhaps of an older recipe. */
  public Optional<byte[]> kept(View view) throws IOException {
    Path all = folder.resolve(view.id().toString());
    if (!Files.isDirectory(all)) {
      return Optional.empty();
    }
    try (Stream<Path> files = Files.list(all)) {
      Optional<Path> newest =
          files
              .filter(p -> p.getFileName().toString().endsWith(".jpg"))
              .max(Comparator.comparing(p -> p.toFile().lastModified()));
      return newest.isPresent() ? Optional.of(Files.readAllBytes(newest.get())) : Optional.empty();
    }
  }

  /** Makes a view's cover anew; one at a time, so that views are not all opened at once. */
  private synchronized void make(View view, RecipeService.State state) throws IOException {
    Path file = file(view.id(), state.edition());
    if (Files.isRegularFile(file)) {
      return;
    }
    Recipe recipe = state.recipe();
    Raster raster = Raster.fitted(view.width(), view.height(), EDGE);
    byte[] jpeg = ScreenJpeg.of(open.work(view, s -> s.picture(recipe, raster)), 0.85);
    Files.createDirectories(file.getParent());
    Path part = file.resolveSibling(state.edition() + ".part");
    Files.write(part, jpeg);
    Files.move(part, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    try (Stream<Path> old = Files.list(file.getParent())) {
      for (Path p : old.filter(p -> !p.equals(file)).toList()) {
        Files.deleteIfExists(p);
      }
    }
  }

  /** Makes a cover while its view is open; a cover that fails now is made when it is asked for. */
  public void refresh(View view, RecipeService.State state) {
    try {
      of(view, state);
    } catch (IOException | RuntimeException e) {
      LOG.warn("the cover of {} could not be made: {}", view.name(), e.getMessage());
    }
  }
}
