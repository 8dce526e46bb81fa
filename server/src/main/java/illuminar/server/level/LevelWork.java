package illuminar.server.level;

import illuminar.core.colour.Lab;
import illuminar.core.recipe.Recipe;
import illuminar.core.set.LevelSet;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.setstep.SetSteps;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Finds white walls, reads surfaces, and levels the views of a shoot by them. */
@Component
class LevelWork implements Work {
  static final String KIND = "LEVEL_SET";

  private final ShootService shoots;
  private final Surfaces surfaces;
  private final RecipeService recipes;

  /** Asked for when it is needed: it starts jobs itself. */
  private final ObjectProvider<SetSteps> steps;

  private final RecipeJson json;
  private final TransactionTemplate transaction;

  LevelWork(
      ShootService shoots,
      Surfaces surfaces,
      RecipeService recipes,
      ObjectProvider<SetSteps> steps,
      RecipeJson json,
      TransactionTemplate transaction) {
    this.shoots = shoots;
    this.surfaces = surfaces;
    this.recipes = recipes;
    this.steps = steps;
    this.json = json;
    this.transaction = transaction;
  }

  /**
   * What is wanted.
   *
   * @param find whether white walls are looked for first
   * @param level whether views are levelled, or surfaces are only read
   * @param reference id of the view that stays as it is; empty for none
   */
  record Subject(boolean find, boolean level, String reference) {}

  /** A view under way. */
  private record Under(View view, Recipe before, Recipe plain, Map<String, Lab> colours) {}

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Levelling";
  }

  @Override
  public void run(Job job, Progress progress) {
    Subject wanted = json.read(job.subject(), Subject.class);
    List<View> views = shoots.linedUp(job.shootId());
    int total = views.size() * (1 + (wanted.find ? 1 : 0) + (wanted.level ? 2 : 0));
    int done = 0;
    for (View view : wanted.find ? views : List.<View>of()) {
      progress.at(done++, total, view.name() + ": looking for white walls");
      progress.alone(view.name(), () -> surfaces.findWalls(view));
    }
    if (wanted.level) {
      level(job, wanted, views.stream().filter(surfaces::any).toList(), done, total, progress);
      done += 2 * views.size();
    }
    for (View view : shoots.linedUp(job.shootId())) {
      progress.at(done++, total, view.name() + ": reading its surfaces");
      if (surfaces.any(view)) {
        progress.alone(view.name(), () -> surfaces.read(view));
      }
    }
  }

  private void level(
      Job job, Subject wanted, List<View> views, int from, int total, Progress progress) {
    int done = from;
    List<Under> all = new ArrayList<>();
    for (View view : views) {
      progress.at(done++, total, view.name() + ": reading its surfaces");
      Recipe before = recipes.state(view).recipe();
      Recipe plain = LevelSet.without(before);
      progress.alone(
          view.name(), () -> all.add(new Under(view, before, plain, surfaces.read(view, plain))));
    }
    List<String> ids = all.stream().map(u -> u.view.id().toString()).toList();
    Map<String, Lab> common =
        LevelSet.common(all.stream().map(Under::colours).toList(), ids.indexOf(wanted.reference));
    Map<Under, Recipe> changed = new LinkedHashMap<>();
    for (Under under : all) {
      progress.at(done++, total, under.view.name() + ": levelling");
      progress.alone(
          under.view.name(),
          () -> {
            Recipe level = levelled(under, common);
            if (!level.equals(under.before)) {
              changed.put(under, level);
            }
          });
    }
    transaction.executeWithoutResult(s -> take(job, changed, progress));
  }

  /** The levelled recipe, where its picture is nearer to the common colours; else without. */
  private Recipe levelled(Under under, Map<String, Lab> common) {
    Recipe level = LevelSet.levelled(under.plain, under.colours, common);
    double before = LevelSet.apart(under.colours, common);
    double after = LevelSet.apart(surfaces.read(under.view, level), common);
    return after < before ? level : under.plain;
  }

  private void take(Job job, Map<Under, Recipe> changed, Progress progress) {
    List<SetSteps.Change> changes = new ArrayList<>();
    changed.forEach(
        (under, recipe) -> {
          View held = shoots.heldView(job.studioId(), under.view.id());
          if (held.recipeEdition() == under.view.recipeEdition()) {
            changes.add(new SetSteps.Change(held, recipe, List.of()));
          } else {
            progress.problem(held.name() + " was changed meanwhile, and stays as it is.");
          }
        });
    steps.getObject().take(job.studioId(), job.shootId(), "Levelled with the set", changes);
  }
}
