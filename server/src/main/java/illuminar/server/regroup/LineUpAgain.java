package illuminar.server.regroup;

import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.lineup.LineUpWork;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Lines views up anew whose frames have changed; their recipes stay. */
@Component
class LineUpAgain implements Work {
  static final String KIND = "LINE_UP";

  /** The views, in order. */
  record Subject(List<UUID> views) {}

  private final Views views;
  private final LineUpWork lineUp;
  private final RecipeJson json;

  LineUpAgain(Views views, LineUpWork lineUp, RecipeJson json) {
    this.views = views;
    this.lineUp = lineUp;
    this.json = json;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Lining up";
  }

  @Override
  public void run(Job job, Progress progress) {
    List<UUID> ids = json.read(job.subject(), Subject.class).views();
    int all = ids.size();
    for (int i = 0; i < all; i++) {
      int before = i;
      Optional<View> view = views.findById(ids.get(i));
      if (view.isPresent() && view.get().state() == View.State.NEW) {
        UUID id = ids.get(i);
        progress.alone(
            view.get().name(),
            () ->
                lineUp.lineUp(
                    id,
                    (step, of, doing) ->
                        progress.at(100 * before + 100 * step / of, 100 * all, doing)));
      }
    }
  }
}
