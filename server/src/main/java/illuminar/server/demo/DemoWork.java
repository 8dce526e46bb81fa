package illuminar.server.demo;

import illuminar.core.intake.Grouping;
import illuminar.core.pass.Pass;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.server.cover.Covers;
import illuminar.server.intake.IntakeWork;
import illuminar.server.intake.Sources;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.Views;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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

  /** A view of the shoot; one that is not {@code taken} stays on the card. */
  record WorkedView(String name, boolean taken, Added added) {}

  /** Views of the shoot in the order of the card. */
  record Worked(List<WorkedView> views) {}

  static final String KIND = "DEMO";

  private final Sources sources;
  private final IntakeWork intake;
  private final RecipeService recipes;
  private final RecipeJson json;
  private final FrameRows frames;
  private final Views views;
  private final Covers covers;

  DemoWork(
      Sources sources,
      IntakeWork intake,
      RecipeService recipes,
      RecipeJson json,
      FrameRows frames,
      Views views,
      Covers covers) {
    this.views = views;
    this.covers = covers;
    this.sources = sources;
    this.intake = intake;
    this.recipes = recipes;
    this.json = json;
    this.frames = frames;
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
    List<WorkedView> worked = json.read(job.subject(), Worked.class).views();
    List<Grouping.View> found = sources.views(job.shootId());
    Map<IntakeWork.PlannedView, Added> plan = new LinkedHashMap<>();
    for (int i = 0; i < Math.min(found.size(), worked.size()); i++) {
      if (worked.get(i).taken()) {
        plan.put(planned(job, worked.get(i).name(), found.get(i)), worked.get(i).added());
      }
    }
    int all = IntakeWork.steps(new IntakeWork.Plan(List.copyOf(plan.keySet())));
    int before = 0;
    for (Map.Entry<IntakeWork.PlannedView, Added> view : plan.entrySet()) {
      IntakeWork.Plan one = new IntakeWork.Plan(List.of(view.getKey()));
      intake.take(job, one, new Part(progress, before, all));
      before += IntakeWork.steps(one);
      // while the view is open, its work and its cover take no time
      if (!view.getValue().passes().isEmpty()) {
        progress.alone(view.getKey().name(), () -> work(job, view.getKey().id(), view.getValue()));
      }
    }
  }

  /** A view to be taken in; its id follows from the job, so that running it again adds nothing. */
  private static IntakeWork.PlannedView planned(Job job, String name, Grouping.View found) {
    byte[] own = (job.id() + " " + name).getBytes(StandardCharsets.UTF_8);
    return new IntakeWork.PlannedView(
        UUID.nameUUIDFromBytes(own),
        name,
        found.anchor(),
        found.frames().stream()
            .map(p -> new IntakeWork.PlannedFrame(p.frame().id(), p.role()))
            .toList());
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

  private void work(Job job, UUID view, Added added) {
    RecipeService.State state = recipes.state(job.studioId(), view);
    int known = state.revision() - 1;
    List<Recipe> steps = steps(state.recipe(), view, added);
    for (Recipe next : steps.subList(Math.min(known, steps.size()), steps.size())) {
      state = recipes.change(job.studioId(), view, state.edition(), next);
    }
    covers.refresh(views.findById(view).orElseThrow(), state);
  }

  /** The recipe after each added pass, the first with all the regions. */
  private List<Recipe> steps(Recipe first, UUID view, Added added) {
    List<FrameRow> rows = frames.findByViewIdAndBinnedIsNullOrderByPosition(view);
    // after a crash some of it may be there already
    List<Region> regions = new ArrayList<>(first.regions());
    regions.removeIf(r -> added.regions().stream().anyMatch(n -> bears(n, r.id())));
    added.regions().forEach(r -> regions.add(read(r, rows, Region.class)));
    List<Pass> passes = new ArrayList<>(first.passes());
    passes.removeIf(p -> added.passes().stream().anyMatch(n -> bears(n, p.id())));
    Recipe recipe = first.withRegions(regions).withPasses(passes);
    List<Recipe> steps = new ArrayList<>();
    for (JsonNode pass : added.passes()) {
      recipe = recipe.with(read(pass, rows, Pass.class));
      steps.add(recipe);
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
