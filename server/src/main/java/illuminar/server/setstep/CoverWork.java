package illuminar.server.setstep;

import illuminar.server.cover.Covers;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Draws the small pictures of views whose recipes have changed. */
@Component
class CoverWork implements Work {
  static final String KIND = "COVERS";

  /** The views, in order. */
  record Subject(List<UUID> views) {}

  private final Views views;
  private final RecipeService recipes;
  private final Covers covers;
  private final RecipeJson json;

  CoverWork(Views views, RecipeService recipes, Covers covers, RecipeJson json) {
    this.views = views;
    this.recipes = recipes;
    this.covers = covers;
    this.json = json;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Drawing";
  }

  @Override
  public void run(Job job, Progress progress) {
    List<UUID> ids = json.read(job.subject(), Subject.class).views();
    for (int i = 0; i < ids.size(); i++) {
      Optional<View> view = views.findById(ids.get(i)).filter(v -> v.binned().isEmpty());
      if (view.isPresent()) {
        View v = view.get();
        progress.at(i, ids.size(), v.name());
        progress.alone(v.name(), () -> covers.of(v, recipes.state(v)));
      }
    }
  }
}
