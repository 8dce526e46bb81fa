package illuminar.server.delivery;

import illuminar.core.exposure.Exposure;
import illuminar.core.pass.Pass;
import illuminar.core.recipe.Recipe;
import illuminar.core.recipe.Sentence;
import illuminar.core.render.Renderer;
import illuminar.files.Legend;
import illuminar.server.Settings;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.view.OpenViews;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Renders finished files at the sizes and in the formats that were ordered. */
@Component
class DeliveryWork implements Work {

  /** File formats of a delivery. */
  enum Format {
    JPEG("jpg"),
    PNG_16("png"),
    TIFF_16("tif");

    final String ending;

    Format(String ending) {
      this.ending = ending;
    }
  }

  /**
   * What was ordered.
   *
   * @param longEdge pixels of the long edge, 0 for full size
   */
  record DeliveryOrder(
      List<UUID> views, List<Format> formats, int longEdge, int quality, String copyright) {}

  private final Views views;
  private final FrameRows frames;
  private final OpenViews open;
  private final RecipeService recipes;
  private final RecipeJson json;
  private final DeliveredFiles files;
  private final Path folder;

  DeliveryWork(
      Views views,
      FrameRows frames,
      OpenViews open,
      RecipeService recipes,
      RecipeJson json,
      DeliveredFiles files,
      Settings settings) {
    this.views = views;
    this.frames = frames;
    this.open = open;
    this.recipes = recipes;
    this.json = json;
    this.files = files;
    this.folder = settings.home().toAbsolutePath().resolve("delivered");
  }

  @Override
  public Job.Kind kind() {
    return Job.Kind.DELIVERY;
  }

  @Override
  public void run(Job job, Progress progress) throws IOException {
    DeliveryOrder order = json.read(job.subject(), DeliveryOrder.class);
    int total = order.views().size() * order.formats().size();
    int done = 0;
    Path place = folder.resolve(job.id().toString());
    Files.createDirectories(place);
    for (UUID id : order.views()) {
      View view = views.findById(id).orElseThrow();
      for (Format format : order.formats()) {
        progress.at(done++, total, view.name() + " as " + format.ending.toUpperCase(Locale.ROOT));
        String name = fileName(view.name(), format);
        if (!files.existsByJobIdAndName(job.id(), name)) {
          try {
            deliver(job, order, view, format, name, place);
          } catch (IOException e) {
            Files.deleteIfExists(place.resolve(name));
            progress.problem(name + ": it could not be written (" + e.getMessage() + ").");
          }
        }
      }
      View fresh = views.findById(id).orElseThrow();
      fresh.come(View.State.DELIVERED);
      views.saveAndFlush(fresh);
    }
  }

  private static String fileName(String view, Format format) {
    String plain = view.replaceAll("[^\\p{L}\\p{N} _-]", "").strip().replace(' ', '-');
    return (plain.isEmpty() ? "view" : plain) + "." + format.ending;
  }

  private void deliver(
      Job job, DeliveryOrder order, View view, Format format, String name, Path place)
      throws IOException {
    Recipe recipe = recipes.state(job.studioId(), view.id()).recipe();
    Renderer renderer = open.once(view);
    double scale =
        order.longEdge() == 0
            ? 1
            : Math.min(1, order.longEdge() / (double) Math.max(view.width(), view.height()));
    Path part = place.resolve(name + ".part");
    Finished finished =
        new Finished(renderer, recipe, scale, legend(view, recipe, order.copyright()));
    finished.write(format, order.quality(), part);
    Path target = place.resolve(name);
    Files.move(part, target, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    files.save(
        new Delivered(
            job.id(),
            view.id(),
            name,
            format.name(),
            target.toString(),
            Files.size(target),
            finished.width(),
            finished.height()));
  }

  private Legend legend(View view, Recipe recipe, String copyright) {
    Set<String> used = new HashSet<>(recipe.ground().sources());
    for (Pass p : recipe.passes()) {
      if (p.active()) {
        used.addAll(Sentence.frames(p));
      }
    }
    FrameRow anchor =
        frames.findByViewIdOrderByPosition(view.id()).stream()
            .filter(f -> f.id().equals(view.anchorId()))
            .findFirst()
            .orElseThrow();
    Optional<Exposure> exposure =
        anchor.stopsKnown()
            ? Optional.of(new Exposure(anchor.seconds(), anchor.aperture(), anchor.iso()))
            : Optional.empty();
    return new Legend(
        exposure,
        Optional.ofNullable(anchor.taken()),
        anchor.camera(),
        anchor.flash(),
        1,
        copyright,
        used.size());
  }
}
