package illuminar.server.carry;

import illuminar.core.recipe.CarryOver;
import illuminar.core.recipe.Recipe;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Carries what was decided for one view over to others of its shoot: all of them in one
 * transaction, each as one step of its own history, and all taken back in one go.
 */
@Service
public class CarryService {
  private final ShootService shoots;
  private final Views views;
  private final FrameRows frames;
  private final RecipeService recipes;
  private final CarriedOvers carried;
  private final RecipeJson json;
  private final Jobs jobs;

  CarryService(
      ShootService shoots,
      Views views,
      FrameRows frames,
      RecipeService recipes,
      CarriedOvers carried,
      RecipeJson json,
      Jobs jobs) {
    this.shoots = shoots;
    this.views = views;
    this.frames = frames;
    this.recipes = recipes;
    this.carried = carried;
    this.json = json;
    this.jobs = jobs;
  }

  /** What is to be carried over; see {@link CarryOver.Wanted}. */
  public record CarryWanted(@NotNull Set<String> passes, boolean ground, boolean geometry) {
    CarryOver.Wanted core() {
      if (passes.isEmpty() && !ground && !geometry) {
        throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "Choose what is to be carried over.");
      }
      return new CarryOver.Wanted(passes, ground, geometry);
    }
  }

  /**
   * What comes, or came, of it in one view.
   *
   * @param changes whether its recipe becomes another one
   * @param lost what cannot be done there as it was
   * @param look drawn regions that come along by place
   */
  public record Outcome(
      @NotNull UUID view,
      boolean changes,
      @NotNull List<String> lost,
      @NotNull List<String> look) {}

  /**
   * A revision that was made.
   *
   * @param look names of the drawn regions that came with it
   */
  record Made(UUID view, int revision, List<String> look) {}

  /** Revisions that were made. */
  record AllMade(List<Made> all) {}

  /** What would come of it, with nothing changed. */
  @Transactional(readOnly = true)
  public List<Outcome> preview(UUID studio, UUID from, CarryWanted wanted, List<UUID> to) {
    CarryOver.Side source = side(shoots.ownedView(studio, from));
    List<Outcome> outcomes = new ArrayList<>();
    for (UUID id : to) {
      CarryOver.Side there = side(shoots.ownedView(studio, id));
      outcomes.add(outcome(id, there, CarryOver.of(source, wanted.core(), there)));
    }
    return outcomes;
  }

  /** The recipe that a view would have. */
  @Transactional(readOnly = true)
  public Recipe would(UUID studio, UUID from, CarryWanted wanted, UUID to) {
    CarryOver.Side source = side(shoots.ownedView(studio, from));
    return CarryOver.of(source, wanted.core(), side(shoots.ownedView(studio, to))).recipe();
  }

  private static Outcome outcome(UUID view, CarryOver.Side before, CarryOver.Carried c) {
    return new Outcome(view, !c.recipe().equals(before.recipe()), c.lost(), c.look());
  }

  private CarryOver.Side side(View view) {
    List<FrameRow> rows = frames.findByViewIdAndBinnedIsNullOrderByPosition(view.id());
    double anchor =
        rows.stream()
            .filter(r -> r.id().equals(view.anchorId()))
            .mapToDouble(FrameRow::stops)
            .findFirst()
            .orElse(0);
    return new CarryOver.Side(
        recipes.state(view).recipe(),
        rows.stream()
            .map(r -> new CarryOver.Rung(r.id().toString(), r.role(), r.stops() - anchor))
            .toList(),
        view.anchorId().toString());
  }

  /**
   * Carries it over. Pictures follow as a job.
   *
   * @return what came of it, view by view
   */
  @Transactional
  public List<Outcome> carry(UUID studio, UUID from, CarryWanted wanted, List<UUID> to) {
    View source = shoots.ownedView(studio, from);
    CarryOver.Side side = side(source);
    List<Outcome> outcomes = new ArrayList<>();
    List<Made> made = new ArrayList<>();
    // held in one order, so that two who do the same at once do not wait for each other
    for (UUID id : to.stream().distinct().filter(v -> !v.equals(from)).sorted().toList()) {
      View view = views.holdOwned(id, studio).orElseThrow(() -> Problem.notFound("view"));
      if (!view.shootId().equals(source.shootId())) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT, view.name() + " belongs to another shoot.");
      }
      CarryOver.Side there = side(view);
      CarryOver.Carried c = CarryOver.of(side, wanted.core(), there);
      Outcome outcome = outcome(id, there, c);
      outcomes.add(outcome);
      if (outcome.changes()) {
        int revision = recipes.step(view, c.recipe(), "carried over from " + source.name());
        List<String> look = new ArrayList<>(view.lookAt());
        look.addAll(c.look());
        view.lookAt(look);
        made.add(new Made(id, revision, c.look()));
      }
    }
    if (!made.isEmpty()) {
      carried.save(new CarriedOver(source.shootId(), source.name(), json.write(new AllMade(made))));
      draw(studio, source.shootId(), made);
    }
    return outcomes;
  }

  private void draw(UUID studio, UUID shoot, List<Made> made) {
    CoverWork.Subject subject = new CoverWork.Subject(made.stream().map(Made::view).toList());
    jobs.start(new Job(studio, shoot, CoverWork.KIND, json.write(subject)));
  }

  /**
   * What was carried over last in a shoot, where it can be taken back.
   *
   * @param from the name of the view
   * @param made when
   * @param views how many of them have not been changed since
   */
  public record LastCarried(
      @NotNull UUID id, @NotNull String from, @NotNull Instant made, int views) {}

  /** What was carried over last in a shoot. */
  @Transactional(readOnly = true)
  public Optional<LastCarried> last(UUID studio, UUID shoot) {
    return carried
        .findFirstByShootIdOrderByMadeDesc(shoots.owned(studio, shoot).id())
        .filter(c -> !c.undone())
        .map(
            c ->
                new LastCarried(
                    c.id(),
                    c.fromName(),
                    c.made(),
                    (int) made(c).stream().filter(this::stands).count()))
        .filter(last -> last.views() > 0);
  }

  /** Whether a view has not been changed since. */
  private boolean stands(Made made) {
    return views
        .findById(made.view())
        .filter(v -> v.binned().isEmpty() && v.currentRevision() == made.revision())
        .isPresent();
  }

  private List<Made> made(CarriedOver c) {
    return json.read(c.revisions(), AllMade.class).all();
  }

  /**
   * Takes it back in all views that have not been changed since.
   *
   * @return names of the views that have been, and stay
   */
  @Transactional
  public List<String> undo(UUID studio, UUID id) {
    CarriedOver all = carried.findById(id).orElseThrow(() -> Problem.notFound("carry-over"));
    shoots.owned(studio, all.shootId());
    List<String> stayed = new ArrayList<>();
    List<Made> back = new ArrayList<>();
    for (Made made : made(all)) {
      Optional<View> view = views.holdOwned(made.view(), studio);
      if (view.isEmpty()) {
        continue;
      }
      if (recipes.takeBack(view.get(), made.revision())) {
        List<String> look = new ArrayList<>(view.get().lookAt());
        made.look().forEach(look::remove);
        view.get().lookAt(look);
        back.add(made);
      } else {
        stayed.add(view.get().name());
      }
    }
    all.undo();
    if (!back.isEmpty()) {
      draw(studio, all.shootId(), back);
    }
    return stayed;
  }

  /** What came along has been looked at. */
  @Transactional
  public void looked(UUID studio, UUID view) {
    views.holdOwned(view, studio).orElseThrow(() -> Problem.notFound("view")).lookAt(List.of());
  }
}
