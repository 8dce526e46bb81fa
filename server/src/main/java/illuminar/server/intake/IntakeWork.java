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
import illuminar.server.storage.StoreAway;
import illuminar.server.web.PlainWords;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.ObjectNode;

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

  /**
   * What is taken in, in this order.
   *
   * @param views new ones
   * @param more frames that come to views that are there
   */
  public record Plan(List<PlannedView> views, List<PlannedView> more) {
    public Plan {
      views = List.copyOf(views);
      more = List.copyOf(more);
    }

    public Plan(List<PlannedView> views) {
      this(views, List.of());
    }
  }

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
    take(job, plan(job), progress);
  }

  private Plan plan(Job job) {
    ObjectNode plan = (ObjectNode) json.tree(job.subject());
    if (!plan.has("more")) {
      // an order given before frames could come to views that are there
      plan.putArray("more");
    }
    return json.convert(plan, Plan.class);
  }

  /** How many steps {@link #take} counts. */
  public static int steps(Plan plan) {
    return Stream.concat(plan.views().stream(), plan.more().stream())
        .mapToInt(IntakeWork::steps)
        .sum();
  }

  private static int steps(PlannedView planned) {
    return 2 * planned.frames().size() + 2;
  }

  /**
   * Takes in what a plan says, each view by itself; what is there already is left as it is. A view
   * that is taken in and cannot be lined up can be lined up again.
   */
  public void take(Job job, Plan plan, Progress progress) {
    int total = steps(plan);
    int done = 0;
    for (PlannedView planned : plan.views()) {
      Consumer<Steps> begin =
          steps -> {
            if (views.findById(planned.id()).isEmpty()) {
              begin(job, planned, steps);
            }
          };
      take(planned, new Steps(progress, done, total), begin);
      done += steps(planned);
    }
    for (PlannedView planned : plan.more()) {
      take(planned, new Steps(progress, done, total), steps -> join(job, planned, steps));
      done += steps(planned);
    }
  }

  /** One view: its frames are read, and it is lined up. */
  private void take(PlannedView planned, Steps steps, Consumer<Steps> read) {
    steps.progress.alone(
        planned.name(),
        () -> {
          read.accept(steps);
          lineUp(planned, steps.after(planned.frames().size()));
        });
  }

  /** Steps of one part of the work, of all. */
  private record Steps(Progress progress, int before, int total) {
    void at(int step, String doing) {
      progress.at(before + step, total, doing);
    }

    Steps after(int some) {
      return new Steps(progress, before + some, total);
    }
  }

  private void lineUp(PlannedView planned, Steps steps) {
    Optional<View> view = views.findById(planned.id());
    if (view.isPresent() && view.get().state() == View.State.NEW) {
      lineUp.lineUp(view.get().id(), (step, of, doing) -> steps.at(step, doing));
    }
  }

  private void begin(Job job, PlannedView planned, Steps steps) {
    Map<String, FrameRow> taken = read(job, planned, List.of(), steps);
    if (taken.isEmpty()) {
      steps.progress.problem(planned.name() + ": none of its frames could be taken in.");
      return;
    }
    FrameRow first = taken.values().iterator().next();
    transaction.executeWithoutResult(
        s -> {
          int position = views.countByShootId(job.shootId());
          View view =
              new View(
                  planned.id(),
                  job.shootId(),
                  position,
                  planned.name(),
                  first.width(),
                  first.height());
          view.anchor(taken.getOrDefault(planned.anchor(), first).id());
          views.saveAndFlush(view);
          frames.saveAllAndFlush(taken.values());
        });
    sources.taken(job.shootId(), List.copyOf(taken.keySet()));
  }

  /** Frames come to a view that is there; its recipe stays. */
  private void join(Job job, PlannedView planned, Steps steps) {
    List<FrameRow> there = frames.findByViewIdAndBinnedIsNullOrderByPosition(planned.id());
    Map<String, FrameRow> taken = read(job, planned, there, steps);
    if (taken.isEmpty()) {
      return;
    }
    transaction.executeWithoutResult(
        s ->
            views
                .hold(planned.id())
                .filter(v -> v.binned().isEmpty())
                .ifPresent(
                    view -> {
                      for (FrameRow row : taken.values()) {
                        frames
                            .findByViewIdAndSha256(view.id(), row.sha256())
                            .ifPresent(frames::delete);
                      }
                      frames.flush();
                      frames.saveAllAndFlush(taken.values());
                      view.regrouped(view.anchorId());
                      views.saveAndFlush(view);
                    }));
    sources.taken(job.shootId(), List.copyOf(taken.keySet()));
  }

  /**
   * Reads a view's files and keeps their originals; what cannot be read is named.
   *
   * @param there frames that the view has already
   * @return new frames by the ids of their files
   */
  private Map<String, FrameRow> read(
      Job job, PlannedView planned, List<FrameRow> there, Steps steps) {
    Map<String, FrameRow> taken = new LinkedHashMap<>();
    List<FrameRow> all = new ArrayList<>(there);
    int at = 0;
    for (PlannedFrame f : planned.frames()) {
      Source.Waiting file = sources.file(job.shootId(), f.id());
      steps.at(at++, planned.name() + ": taking in " + file.name());
      try {
        FrameReader.Read read = sources.read(file);
        FrameRow row = row(planned.id(), f.role(), file, read, all);
        all.add(row);
        taken.put(f.id(), row);
      } catch (BadPicture e) {
        steps.progress.problem(e.getMessage() + ". It was not taken in.");
      } catch (StoreAway e) {
        throw new UncheckedIOException(e);
      } catch (IOException e) {
        steps.progress.problem(
            file.name()
                + ": it could not be stored ("
                + PlainWords.disk(e)
                + "). It was not taken in; make room and take it in again.");
      }
    }
    return taken;
  }

  private FrameRow row(
      UUID view, Role role, Source.Waiting file, FrameReader.Read read, List<FrameRow> others)
      throws IOException, BadPicture {
    int width = read.header().width();
    int height = read.header().height();
    for (FrameRow o : others) {
      if (o.width() != width || o.height() != height) {
        throw new BadPicture(
            file.name(),
            "it is %d×%d pixels, the view's other frames are %d×%d"
                .formatted(width, height, o.width(), o.height()));
      }
    }
    String sha = read.sha256();
    originals.keep(file.path(), sha);
    if (others.stream().anyMatch(o -> o.sha256().equals(sha))) {
      throw new BadPicture(file.name(), "the same picture is already in this view");
    }
    FrameRow row =
        new FrameRow(view, others.size(), file.name(), sha, width, height, role, read.capture());
    row.clipping(read.burnt(), read.blocked());
    return row;
  }
}
