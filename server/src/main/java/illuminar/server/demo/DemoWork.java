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
import illuminar.server.shoot.Views;
import illuminar.server.view.Covers;
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
  /** What is added to a view's first version. Frames are named as on the card, in braces. */
  record Added(List<JsonNode> regions, List<JsonNode> passes) {}

  record WorkedView(UUID view, String name, Added added) {}

  record Subject(IntakeWork.Plan plan, List<WorkedView> worked) {}

  private final IntakeWork intake;
  private final RecipeService recipes;
  private final RecipeJson json;
  private final FrameRows frames;
  private final Views views;
  private final Covers covers;

  DemoWork(
      IntakeWork intake,
      RecipeService recipes,
      RecipeJson json,
      FrameRows frames,
      Views views,
      Covers covers) {
    this.views = views;
    this.covers = covers;
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
    int all = IntakeWork.steps(subject.plan());
    int before = 0;
    for (IntakeWork.PlannedView planned : subject.plan().views()) {
      IntakeWork.Plan one = new IntakeWork.Plan(List.of(planned));
      intake.take(job, one, new Part(progress, before, all));
      before += IntakeWork.steps(one);
      // while the view is open, its work and its cover take no time
      for (WorkedView worked : subject.worked()) {
        if (worked.view().equals(planned.id())) {
          work(job, worked);
        }
      }
    }
  }

  /** Progress of one view as a part of all. */
  private record Part(Progress whole, int before, int all) implements Progress {
    @Override
    public void at(int done, int total, String doing) {
      whole.at(before + done, all, doing);
    }

    @Override
    public void problem(String said) {
      whole.problem(said);
    }
  }

  private void work(Job job, WorkedView worked) {
    RecipeService.State state = recipes.state(job.studioId(), worked.view());
    int known = state.revision() - 1;
    List<Recipe> steps = steps(state.recipe(), worked);
    for (Recipe next : steps.subList(Math.min(known, steps.size()), steps.size())) {
      state = recipes.change(job.studioId(), worked.view(), state.edition(), next);
    }
    covers.refresh(views.findById(worked.view()).orElseThrow(), state);
  }

  /** The recipe after each added pass, the first with all the regions. */
  private List<Recipe> steps(Recipe first, WorkedView worked) {
    List<FrameRow> rows = frames.findByViewIdOrderByPosition(worked.view());
    Added added = worked.added();
    // after a crash some of it may be there already
    List<Region> regions = new ArrayList<>(first.regions());
    regions.removeIf(r -> added.regions().stream().anyMatch(n -> bears(n, r.id())));
    added.regions().forEach(r -> regions.add(read(r, rows, Region.class)));
    List<Pass> passes = new ArrayList<>(first.passes());
    passes.removeIf(p -> added.passes().stream().anyMatch(n -> bears(n, p.id())));
    List<Recipe> steps = new ArrayList<>();
    for (JsonNode pass : added.passes()) {
      passes.add(read(pass, rows, Pass.class));
      steps.add(new Recipe(first.ground(), regions, passes));
    }
    return steps;
  }

  private static boolean bears(JsonNode node, String id) {
    return node.path("id").asString().equals(id);
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
