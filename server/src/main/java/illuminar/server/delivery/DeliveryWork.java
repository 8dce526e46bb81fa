package illuminar.server.delivery;

import illuminar.core.exposure.Exposure;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.OutputSharpness;
import illuminar.files.BadPicture;
import illuminar.files.Header;
import illuminar.files.Legend;
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
import illuminar.server.storage.Store;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Renders finished files at the size and in the formats that were ordered. */
@Component
class DeliveryWork implements Work {
  static final String KIND = "DELIVERY";

  private final Views views;
  private final FrameRows frames;
  private final ShootService shoots;
  private final OpenViews open;
  private final RecipeService recipes;
  private final RecipeJson json;
  private final DeliveredFiles files;
  private final Formats formats;
  private final PictureDoor door;
  private final Store store;

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
      Store store) {
    this.views = views;
    this.frames = frames;
    this.shoots = shoots;
    this.open = open;
    this.recipes = recipes;
    this.json = json;
    this.files = files;
    this.formats = formats;
    this.door = door;
    this.store = store;
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
    for (UUID id : order.views()) {
      View view = views.findById(id).orElseThrow();
      boolean all = true;
      for (OutputFormat format : wanted) {
        progress.at(done++, total, view.name() + " as " + format.name());
        String name = stems.get(id) + "." + format.ending();
        String place = "delivered/" + job.id() + "/" + name;
        if (!files.existsByJobIdAndName(job.id(), name) || !store.has(place)) {
          all &=
              progress.alone(
                  name + " could not be written",
                  () -> deliver(job, order, view, format, name, place));
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

  private void deliver(
      Job job, DeliveryOrder order, View view, OutputFormat format, String name, String place)
      throws IOException {
    Recipe recipe = recipes.state(job.studioId(), view.id()).recipe();
    Finished finished =
        new Finished(
            open.analysis(view),
            recipe,
            order.longEdge(),
            order.sharpness().orElse(OutputSharpness.NONE),
            legend(view, recipe, order.copyright()));
    store.write(
        place,
        file -> format.write(finished, order.quality() / 100.0, file),
        file -> check(file, name, finished));
    files.deleteByJobIdAndName(job.id(), name);
    files.save(
        new Delivered(
            job.id(),
            view.id(),
            name,
            format.id(),
            place,
            Files.size(store.find(place)),
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
