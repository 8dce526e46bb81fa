package illuminar.server.delivery;

import illuminar.core.exposure.Exposure;
import illuminar.core.recipe.Recipe;
import illuminar.files.BadPicture;
import illuminar.files.Header;
import illuminar.files.Legend;
import illuminar.server.Settings;
import illuminar.server.delivery.format.Finished;
import illuminar.server.delivery.format.OutputFormat;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.reading.PictureDoor;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.sitting.OpenViews;
import illuminar.server.storage.WrittenWhole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Renders finished files at the size and in the formats that were ordered. */
@Component
class DeliveryWork implements Work {
  static final String KIND = "DELIVERY";

  private static final Logger LOG = LoggerFactory.getLogger(DeliveryWork.class);

  private final Views views;
  private final FrameRows frames;
  private final ShootService shoots;
  private final OpenViews open;
  private final RecipeService recipes;
  private final RecipeJson json;
  private final DeliveredFiles files;
  private final Formats formats;
  private final PictureDoor door;
  private final Path folder;

  DeliveryWork(
      Views views,
      FrameRows frames,
      ShootService shoots,
      OpenViews open,
      RecipeService recipes,
      RecipeJson json,
      DeliveredFiles files,
      Formats formats,
      PictureDoor door,
      Settings settings) {
    this.views = views;
    this.frames = frames;
    this.shoots = shoots;
    this.open = open;
    this.recipes = recipes;
    this.json = json;
    this.files = files;
    this.formats = formats;
    this.door = door;
    this.folder = settings.home().toAbsolutePath().resolve("delivered");
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Delivering";
  }

  /** A view counts as delivered where every one of its files was written. */
  @Override
  public void run(Job job, Progress progress) throws IOException {
    DeliveryOrder order = json.read(job.subject(), DeliveryOrder.class);
    List<OutputFormat> wanted = order.formats().stream().map(formats::of).toList();
    Map<UUID, String> stems = stems(order);
    int total = order.views().size() * wanted.size();
    int done = 0;
    Path place = folder.resolve(job.id().toString());
    Files.createDirectories(place);
    for (UUID id : order.views()) {
      View view = views.findById(id).orElseThrow();
      boolean all = true;
      for (OutputFormat format : wanted) {
        progress.at(done++, total, view.name() + " as " + format.name());
        String name = stems.get(id) + "." + format.ending();
        if (!files.existsByJobIdAndName(job.id(), name) || !Files.exists(place.resolve(name))) {
          all &=
              progress.alone(
                  name + " could not be written",
                  () -> deliver(job, order, view, format, place.resolve(name)));
        }
      }
      if (all) {
        shoots.come(id, View.State.DELIVERED);
      }
    }
  }

  private Map<UUID, String> stems(DeliveryOrder order) {
    Map<UUID, String> names = new LinkedHashMap<>();
    for (UUID id : order.views()) {
      names.put(id, views.findById(id).orElseThrow().name());
    }
    return FileNames.of(names, order.longEdge());
  }

  private void deliver(Job job, DeliveryOrder order, View view, OutputFormat format, Path target)
      throws IOException {
    Recipe recipe = recipes.state(job.studioId(), view.id()).recipe();
    double scale =
        order.longEdge() == 0
            ? 1
            : Math.min(1, order.longEdge() / (double) Math.max(view.width(), view.height()));
    Finished finished =
        new Finished(open.analysis(view), recipe, scale, legend(view, recipe, order.copyright()));
    String name = target.getFileName().toString();
    WrittenWhole.write(
        target,
        file -> format.write(finished, order.quality() / 100.0, file),
        file -> check(file, name, finished));
    files.deleteByJobIdAndName(job.id(), name);
    files.save(
        new Delivered(
            job.id(),
            view.id(),
            name,
            format.id(),
            target.toString(),
            Files.size(target),
            finished.width(),
            finished.height()));
  }

  /** A file is there when its pixels are read back from it. */
  private void check(Path file, String name, Finished finished) throws IOException {
    try {
      Header header = door.glance(file, name).header();
      if (header.width() != finished.width() || header.height() != finished.height()) {
        throw new IOException("it was read back with another size");
      }
    } catch (BadPicture e) {
      throw new IOException(e);
    }
  }

  /** Files that a crash left half written are swept away when the application starts. */
  @EventListener(ApplicationReadyEvent.class)
  void sweep() {
    try {
      WrittenWhole.sweep(folder);
    } catch (IOException e) {
      LOG.warn("what was half written in {} could not be swept", folder, e);
    }
  }

  private Legend legend(View view, Recipe recipe, String copyright) {
    FrameRow anchor =
        frames.findByViewIdAndBinnedIsNullOrderByPosition(view.id()).stream()
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
        anchor.clock(),
        anchor.optics(),
        anchor.camera(),
        anchor.flash(),
        1,
        copyright,
        recipe.frames().size());
  }
}
