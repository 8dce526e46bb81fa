package illuminar.server.demo;

import illuminar.core.pass.Pass;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.server.intake.IntakeWork;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * Takes the demo shoot's first views in and does with some of them what a photographer has done: a
 * few passes above the first version, one revision for each.
 */
@Component
class DemoWork implements Work {
  /**
   * What is added to a view's first version. Frames are named as on the card, in braces.
   *
   * @param ground in place of the first version's; may be null
   */
  record Added(JsonNode ground, List<JsonNode> regions, List<JsonNode> passes) {}

  record WorkedView(UUID view, String name, Added added) {}

  record Subject(IntakeWork.Plan plan, List<WorkedView> worked) {}

  private final IntakeWork intake;
  private final RecipeService recipes;
  private final RecipeJson json;
  private final FrameRows frames;

  DemoWork(IntakeWork intake, RecipeService recipes, RecipeJson json, FrameRows frames) {
    this.intake = intake;
    this.recipes = recipes;
    this.json = json;
    this.frames = frames;
  }

  @Override
  public Job.Kind kind() {
    return Job.Kind.DEMO;
  }

  @Override
  public void run(Job job, Progress progress) {
    Subject subject = json.read(job.subject(), Subject.class);
    intake.take(job, subject.plan(), progress);
    for (WorkedView worked : subject.worked()) {
      RecipeService.State state = recipes.state(job.studioId(), worked.view());
      int known = state.revision() - 1;
      Recipe recipe = state.recipe();
      List<Recipe> steps = steps(recipe, worked);
      for (Recipe next : steps.subList(Math.min(known, steps.size()), steps.size())) {
        state = recipes.change(job.studioId(), worked.view(), state.edition(), next);
      }
    }
  }

  /** The recipe after each added pass, the first with all the regions. */
  private List<Recipe> steps(Recipe first, WorkedView worked) {
    List<FrameRow> rows = frames.findByViewIdOrderByPosition(worked.view());
    Added added = worked.added();
    List<Region> regions = new ArrayList<>(first.regions());
    added.regions().forEach(r -> regions.add(read(r, rows, Region.class)));
    List<Pass> passes = new ArrayList<>(first.passes());
    var ground =
        added.ground() == null || added.ground().isNull()
            ? first.ground()
            : read(added.ground(), rows, illuminar.core.ground.Ground.class);
    List<Recipe> steps = new ArrayList<>();
    for (JsonNode pass : added.passes()) {
      passes.add(read(pass, rows, Pass.class));
      steps.add(new Recipe(ground, regions, passes));
    }
    return steps;
  }

  private <T> T read(JsonNode node, List<FrameRow> rows, Class<T> type) {
    String text = node.toString();
    for (FrameRow row : rows) {
      String name = row.name().replaceFirst("\\.[^.]*$", "");
      text = text.replace("{" + name + "}", row.id().toString());
    }
    return json.read(text, type);
  }
}
