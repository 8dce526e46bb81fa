package illuminar.server.cover;

import illuminar.core.geometry.Laid;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.picture.Turn;
import illuminar.core.recipe.Recipe;
import illuminar.files.ScreenJpeg;
import illuminar.server.Settings;
import illuminar.server.reading.Wanted;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.View;
import illuminar.server.sitting.Lanes;
import illuminar.server.sitting.OpenViews;
import illuminar.server.storage.WrittenWhole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
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
  private static final double QUALITY = 0.85;

  private final Path folder;
  private final OpenViews open;
  private final Lanes lanes;

  /** Views whose covers are being made. */
  private final Map<UUID, Turn> making = new ConcurrentHashMap<>();

  Covers(Settings settings, OpenViews open, Lanes lanes) {
    folder = settings.home().resolve("covers");
    this.open = open;
    this.lanes = lanes;
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
      return Files.readAllBytes(Files.isRegularFile(file) ? file : make(view, state));
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

  /** The cover that a view would have with a recipe that is not its own; not kept. */
  public byte[] drawn(View view, Recipe recipe) {
    return lanes.slow().take(1, Wanted.here(), () -> card(view, recipe));
  }

  /** A view with a recipe that is not its own, its long edge of so many pixels at most. */
  public byte[] drawn(View view, Recipe recipe, int edge) {
    return lanes.slow().take(1, Wanted.here(), () -> jpeg(view, recipe, edge, open::finished));
  }

  private byte[] card(View view, Recipe recipe) {
    return jpeg(view, recipe, EDGE, open::card);
  }

  private static byte[] jpeg(View view, Recipe recipe, int edge, Draw draw) {
    Laid laid = Laid.of(recipe.geometry(), view.width(), view.height());
    Raster raster = Raster.fitted(laid.projection().width(), laid.projection().height(), edge);
    return ScreenJpeg.of(draw.of(view, recipe, laid, raster), QUALITY);
  }

  private interface Draw {
    Picture of(View view, Recipe recipe, Laid laid, Raster raster);
  }

  /** Makes a view's cover anew, in its turn; once, though many ask for it. */
  private Path make(View view, RecipeService.State state) throws IOException {
    Turn mine = making.computeIfAbsent(view.id(), v -> new Turn());
    try {
      return mine.take(() -> lanes.slow().take(1, Wanted.here(), () -> made(view, state)));
    } catch (UncheckedIOException e) {
      throw e.getCause();
    } finally {
      making.remove(view.id(), mine);
    }
  }

  private Path made(View view, RecipeService.State state) {
    Path file = file(view.id(), state.edition());
    if (Files.isRegularFile(file)) {
      return file;
    }
    byte[] jpeg = card(view, state.recipe());
    try {
      Files.createDirectories(file.getParent());
      WrittenWhole.write(file, part -> Files.write(part, jpeg), part -> {});
      try (Stream<Path> old = Files.list(file.getParent())) {
        for (Path p : old.filter(p -> !p.equals(file)).toList()) {
          Files.deleteIfExists(p);
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return file;
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
