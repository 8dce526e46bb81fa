package illuminar.server.preflight;

import illuminar.core.set.PreFlight;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.sitting.OpenViews;
import java.util.List;
import org.springframework.stereotype.Component;

/** Looks over all views of a shoot that have changed since they were looked over. */
@Component
class PreFlightWork implements Work {
  static final String KIND = "PRE_FLIGHT";

  private final ShootService shoots;
  private final OpenViews open;
  private final RecipeService recipes;
  private final LookedOvers looked;
  private final RecipeJson json;

  PreFlightWork(
      ShootService shoots,
      OpenViews open,
      RecipeService recipes,
      LookedOvers looked,
      RecipeJson json) {
    this.shoots = shoots;
    this.open = open;
    this.recipes = recipes;
    this.looked = looked;
    this.json = json;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Looking over";
  }

  @Override
  public void run(Job job, Progress progress) {
    List<View> views = shoots.linedUp(job.shootId());
    for (int i = 0; i < views.size(); i++) {
      View view = views.get(i);
      progress.at(i, views.size(), view.name());
      if (looked.findById(view.id()).filter(l -> l.of(view)).isEmpty()) {
        progress.alone(view.name(), () -> look(view));
      }
    }
  }

  private void look(View view) {
    PreFlight.Looked seen = PreFlight.over(open.session(view), recipes.state(view).recipe());
    looked.save(new LookedOver(view, json.write(seen)));
  }
}
