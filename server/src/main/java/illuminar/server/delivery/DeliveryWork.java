package illuminar.server.delivery;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toList;
import static java.util.stream.Collectors.toSet;

import illuminar.core.exposure.Exposure;
import illuminar.core.picture.Once;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.OutputSharpness;
import illuminar.files.BadPicture;
import illuminar.files.Credits;
import illuminar.files.Header;
import illuminar.files.Legend;
import illuminar.server.alternative.Alternatives;
import illuminar.server.delivery.format.Depth;
import illuminar.server.delivery.format.Finished;
import illuminar.server.delivery.format.Formats;
import illuminar.server.delivery.format.OutputFormat;
import illuminar.server.delivery.format.Size;
import illuminar.server.delivery.format.Specification;
import illuminar.server.delivery.format.Watermarks;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.reading.PictureDoor;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.sitting.OpenViews;
import illuminar.server.storage.Store;
import illuminar.server.web.Problem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Renders finished files as their specifications say: what is alike is rendered once. */
@Component
class DeliveryWork implements Work {
  static final String KIND = "DELIVERY";

  private final Views views;
  private final FrameRows frames;
  private final ShootService shoots;
  private final OpenViews open;
  private final Alternatives alternatives;
  private final RecipeJson json;
  private final DeliveredFiles files;
  private final Formats formats;
  private final Watermarks watermarks;
  private final PictureDoor door;
  private final Store store;

  DeliveryWork(
      Views views,
      FrameRows frames,
      ShootService shoots,
      OpenViews open,
      Alternatives alternatives,
      RecipeJson json,
      DeliveredFiles files,
      Formats formats,
      Watermarks watermarks,
      PictureDoor door,
      Store store) {
    this.views = views;
    this.frames = frames;
    this.shoots = shoots;
    this.open = open;
    this.alternatives = alternatives;
    this.json = json;
    this.files = files;
    this.formats = formats;
    this.watermarks = watermarks;
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
    List<Ordered> files = files(job, order);
    int done = 0;
    for (List<Ordered> ofView : grouped(files, f -> f.view.id())) {
      boolean all = true;
      // what has one size and sharpness is rendered once
      for (List<Ordered> alike : grouped(ofView, Ordered::rendering)) {
        List<Ordered> missing = missing(job, alike);
        Once<Rendered> rendered = new Once<>(() -> rendered(order, missing));
        for (Ordered file : alike) {
          progress.at(done++, files.size(), file.view.name() + " as " + file.as.name());
          if (missing.contains(file)) {
            all &=
                progress.alone(
                    file.name() + " could not be written", () -> write(job, file, rendered));
          }
        }
      }
      if (all) {
        shoots.come(ofView.get(0).view.id(), View.State.DELIVERED);
      }
    }
  }

  /** One file that is ordered. */
  private record Ordered(
      View view, Specification as, OutputFormat format, FileNames.Name named, String place) {
    String name() {
      return named.name();
    }

    Rendering rendering() {
      return new Rendering(as.size(), as.sharpness());
    }

    Depth depth() {
      return new Depth(as.space(), format.bits());
    }
  }

  /** What has to be the same of files that are rendered together. */
  private record Rendering(Size size, OutputSharpness sharpness) {}

  private static <K> Iterable<List<Ordered>> grouped(List<Ordered> all, Function<Ordered, K> by) {
    return all.stream().collect(groupingBy(by, LinkedHashMap::new, toList())).values();
  }

  private List<Ordered> files(Job job, DeliveryOrder order) {
    List<View> ordered = order.views().stream().map(v -> views.findById(v).orElseThrow()).toList();
    List<OutputFormat> made =
        order.specifications().stream().map(s -> formats.of(s.format())).toList();
    Map<UUID, List<FileNames.Name>> names =
        FileNames.of(
            ordered.stream().map(v -> new FileNames.Named(v.id(), v.name(), day(v))).toList(),
            shoots.owned(job.studioId(), job.shootId()).name(),
            order.specifications(),
            made.stream().map(OutputFormat::ending).toList());
    List<Ordered> out = new ArrayList<>();
    for (View view : ordered) {
      for (int s = 0; s < made.size(); s++) {
        FileNames.Name name = names.get(view.id()).get(s);
        String place = "delivered/" + job.id() + "/" + name.name();
        out.add(new Ordered(view, order.specifications().get(s), made.get(s), name, place));
      }
    }
    return out;
  }

  private String day(View view) {
    return anchor(view).map(FrameRow::taken).map(t -> t.toLocalDate().toString()).orElse("undated");
  }

  /** Those that are not there yet. */
  private List<Ordered> missing(Job job, List<Ordered> ordered) throws IOException {
    List<Ordered> out = new ArrayList<>();
    for (Ordered file : ordered) {
      if (!files.existsByJobIdAndName(job.id(), file.name()) || !store.has(file.place)) {
        out.add(file);
      }
    }
    return out;
  }

  /** A picture, and the step of its view that it shows. */
  private record Rendered(Finished finished, int revision) {}

  private Rendered rendered(DeliveryOrder order, List<Ordered> alike) {
    Ordered one = alike.get(0);
    Alternatives.Delivery is = alternatives.delivered(one.view);
    Recipe recipe = is.recipe();
    Finished finished =
        new Finished(
            open.session(one.view),
            recipe,
            one.as.size(),
            one.as.sharpness(),
            legend(one.view, recipe, order.credits().of(one.named.told())),
            alike.stream().filter(f -> f.format.picture()).map(Ordered::depth).collect(toSet()),
            watermarks);
    return new Rendered(finished, is.revision());
  }

  private void write(Job job, Ordered file, Once<Rendered> rendered) throws IOException {
    Finished finished = rendered.get().finished;
    store.write(
        file.place,
        to -> file.format.write(finished, file.as, to),
        to -> check(to, file, finished));
    files.deleteByJobIdAndName(job.id(), file.name());
    files.save(
        new Delivered(
            job.id(),
            file.view.id(),
            file.name(),
            file.format.id(),
            file.as.name(),
            file.place,
            Files.size(store.find(file.place)),
            finished.width(),
            finished.height(),
            rendered.get().revision));
  }

  /** A file is there when its pixels are read back from it, and when it is as small as wanted. */
  private void check(Path to, Ordered file, Finished finished) throws IOException {
    long bytes = Files.size(to);
    if (file.as.mostBytes() > 0 && bytes > file.as.mostBytes()) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "It has %,d bytes, and %s allows %,d."
              .formatted(bytes, file.as.name(), file.as.mostBytes()));
    }
    if (!file.format.picture()) {
      return;
    }
    try {
      Header header = door.glance(to, file.name()).header();
      if (header.width() != finished.width() || header.height() != finished.height()) {
        throw new IOException("it was read back with another size");
      }
    } catch (BadPicture e) {
      throw new IOException(e);
    }
  }

  private Optional<FrameRow> anchor(View view) {
    return frames.findByViewIdAndBinnedIsNullOrderByPosition(view.id()).stream()
        .filter(f -> f.id().equals(view.anchorId()))
        .findFirst();
  }

  private Legend legend(View view, Recipe recipe, Credits credits) {
    FrameRow anchor = anchor(view).orElseThrow();
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
        credits,
        recipe.frames().size());
  }
}
