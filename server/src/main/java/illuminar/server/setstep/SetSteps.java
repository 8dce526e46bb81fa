package illuminar.server.setstep;

import illuminar.core.recipe.Recipe;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Steps that several views of a shoot take together: one step in the history of each, all or none,
 * and one way back for all. Small pictures follow as a job.
 */
@Service
public class SetSteps {
  private final SetStepRows rows;
  private final Views views;
  private final ShootService shoots;
  private final RecipeService recipes;
  private final Jobs jobs;
  private final RecipeJson json;

  SetSteps(
      SetStepRows rows,
      Views views,
      ShootService shoots,
      RecipeService recipes,
      Jobs jobs,
      RecipeJson json) {
    this.rows = rows;
    this.views = views;
    this.shoots = shoots;
    this.recipes = recipes;
    this.jobs = jobs;
    this.json = json;
  }

  /**
   * What a view becomes.
   *
   * @param view held
   * @param look names of drawn regions that come with it and are to be checked
   */
  public record Change(View view, Recipe recipe, List<String> look) {}

  private record Made(UUID view, int revision, List<String> look) {}

  private record AllMade(List<Made> all) {}

  /**
   * Takes the step.
   *
   * @param said what it does, as a sentence without its end
   */
  @Transactional
  public void take(UUID studio, UUID shoot, String said, List<Change> changes) {
    if (changes.isEmpty()) {
      return;
    }
    List<Made> made = new ArrayList<>();
    for (Change change : changes) {
      View view = change.view();
      int revision = recipes.step(view, change.recipe(), small(said));
      List<String> look = new ArrayList<>(view.lookAt());
      look.addAll(change.look());
      view.lookAt(look);
      made.add(new Made(view.id(), revision, change.look()));
    }
    rows.save(new SetStep(shoot, said, json.write(new AllMade(made))));
    draw(studio, shoot, made);
  }

  private static String small(String said) {
    return said.substring(0, 1).toLowerCase(Locale.ROOT) + said.substring(1);
  }

  private void draw(UUID studio, UUID shoot, List<Made> made) {
    CoverWork.Subject subject = new CoverWork.Subject(made.stream().map(Made::view).toList());
    jobs.start(new Job(studio, shoot, CoverWork.KIND, json.write(subject)));
  }

  /**
   * The last step of a shoot, where it can be taken back.
   *
   * @param said what it did, as a sentence without its end
   * @param views how many of them have not been changed since
   */
  public record Last(@NotNull UUID id, @NotNull String said, @NotNull Instant made, int views) {}

  /** The last step of a shoot. */
  @Transactional(readOnly = true)
  public Optional<Last> last(UUID studio, UUID shoot) {
    return rows.findFirstByShootIdOrderByMadeDesc(shoots.owned(studio, shoot).id())
        .filter(s -> !s.undone())
        .map(
            s ->
                new Last(
                    s.id(),
                    s.said(),
                    s.made(),
                    (int) made(s).stream().filter(this::stands).count()))
        .filter(last -> last.views() > 0);
  }

  /** Whether a view has not been changed since. */
  private boolean stands(Made made) {
    return views
        .findById(made.view())
        .filter(v -> v.binned().isEmpty() && v.currentRevision() == made.revision())
        .isPresent();
  }

  private List<Made> made(SetStep step) {
    return json.read(step.revisions(), AllMade.class).all();
  }

  /**
   * Takes a step back in all views that have not been changed since.
   *
   * @return names of the views that have been, and stay
   */
  @Transactional
  public List<String> undo(UUID studio, UUID id) {
    SetStep step = rows.findById(id).orElseThrow(() -> Problem.notFound("step"));
    shoots.owned(studio, step.shootId());
    List<String> stayed = new ArrayList<>();
    List<Made> back = new ArrayList<>();
    for (Made made : made(step)) {
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
    step.undo();
    if (!back.isEmpty()) {
      draw(studio, step.shootId(), back);
    }
    return stayed;
  }
}
