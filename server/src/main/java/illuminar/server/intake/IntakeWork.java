package illuminar.server.intake;

import illuminar.core.frame.Role;
import illuminar.files.BadPicture;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.lineup.LineUpWork;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.storage.Originals;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes frames in, view by view: originals first, then the view in one transaction, then its
 * line-up. The ids of the views are fixed in the plan, so running it again adds nothing twice.
 */
@Component
public class IntakeWork implements Work {
  /**
   * A frame and what it is for.
   *
   * @param id of the file that waits
   */
  public record PlannedFrame(String id, Role role) {}

  /**
   * A view that is to be, its id fixed beforehand.
   *
   * @param anchor id of the anchor's file
   */
  public record PlannedView(UUID id, String name, String anchor, List<PlannedFrame> frames) {}

  /** Views in the order in which they are taken in. */
  public record Plan(List<PlannedView> views) {}

  static final String KIND = "INTAKE";

  private final Sources sources;
  private final Originals originals;
  private final Views views;
  private final FrameRows frames;
  private final RecipeJson json;
  private final LineUpWork lineUp;
  private final TransactionTemplate transaction;

  IntakeWork(
      Sources sources,
      Originals originals,
      Views views,
      FrameRows frames,
      RecipeJson json,
      LineUpWork lineUp,
      TransactionTemplate transaction) {
    this.sources = sources;
    this.originals = originals;
    this.views = views;
    this.frames = frames;
    this.json = json;
    this.lineUp = lineUp;
    this.transaction = transaction;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Taking in";
  }

  @Override
  public void run(Job job, Progress progress) {
    take(job, json.read(job.subject(), Plan.class), progress);
  }

  /** How many steps {@link #take} counts. */
  public static int steps(Plan plan) {
    return plan.views().stream().mapToInt(v -> 2 * v.frames().size() + 2).sum();
  }

  /** Takes in what a plan says; what is there already is left as it is. */
  public void take(Job job, Plan plan, Progress progress) {
    int total = steps(plan);
    int done = 0;
    for (PlannedView planned : plan.views()) {
      if (views.findById(planned.id()).isEmpty()) {
        takeIn(job, planned, progress, done, total);
      }
      done += planned.frames().size();
      Optional<View> view = views.findById(planned.id());
      if (view.isPresent() && view.get().state() == View.State.NEW) {
        int before = done;
        lineUp.lineUp(
            view.get().id(), (step, of, doing) -> progress.at(before + step, total, doing));
      }
      done += planned.frames().size() + 2;
    }
  }

  private void takeIn(Job job, PlannedView planned, Progress progress, int done, int total) {
    Map<String, FrameRow> taken = new LinkedHashMap<>();
    int at = done;
    int width = 0;
    int height = 0;
    for (PlannedFrame f : planned.frames()) {
      Source.Waiting file = sources.file(job.shootId(), f.id());
      progress.at(at++, total, planned.name() + ": taking in " + file.name());
      try {
        FrameReader.Read read = sources.read(file);
        if (width != 0 && (read.header().width() != width || read.header().height() != height)) {
          throw new BadPicture(
              file.name(),
              "it is "
                  + read.header().width()
                  + "×"
                  + read.header().height()
                  + " pixels, the view's other frames are "
                  + width
                  + "×"
                  + height);
        }
        String sha = originals.keep(file.path());
        width = read.header().width();
        height = read.header().height();
        if (taken.values().stream().anyMatch(r -> r.sha256().equals(sha))) {
          throw new BadPicture(file.name(), "the same picture is already in this view");
        }
        FrameRow row =
            new FrameRow(
                planned.id(),
                taken.size(),
                file.name(),
                sha,
                width,
                height,
                f.role(),
                read.capture());
        row.clipping(read.burnt(), read.blocked());
        taken.put(f.id(), row);
      } catch (BadPicture e) {
        progress.problem(e.getMessage() + ". It was not taken in.");
      } catch (IOException e) {
        progress.problem(
            file.name()
                + ": it could not be stored ("
                + reason(e)
                + "). It was not taken in; make room and take it in again.");
      }
    }
    if (taken.isEmpty()) {
      progress.problem(planned.name() + ": none of its frames could be taken in.");
      return;
    }
    int w = width;
    int h = height;
    transaction.executeWithoutResult(
        s -> {
          int position = views.countByShootId(job.shootId());
          View view = new View(planned.id(), job.shootId(), position, planned.name(), w, h);
          FrameRow anchor = taken.getOrDefault(planned.anchor(), taken.values().iterator().next());
          view.anchor(anchor.id());
          views.saveAndFlush(view);
          frames.saveAllAndFlush(taken.values());
        });
    sources.taken(job.shootId(), List.copyOf(taken.keySet()));
  }

  private static String reason(IOException e) {
    String said = String.valueOf(e.getMessage());
    return said.toLowerCase(java.util.Locale.ROOT).contains("no space") ? "the disk is full" : said;
  }
}
