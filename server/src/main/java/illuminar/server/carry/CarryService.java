package illuminar.server.carry;

import illuminar.core.recipe.CarryOver;
import illuminar.core.recipe.Recipe;
import illuminar.server.recipe.RecipeService;
import illuminar.server.setstep.SetSteps;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Carries what was decided for one view over to others of its shoot, which take one step together.
 */
@Service
public class CarryService {
  private final ShootService shoots;
  private final Views views;
  private final FrameRows frames;
  private final RecipeService recipes;
  private final SetSteps steps;

  CarryService(
      ShootService shoots, Views views, FrameRows frames, RecipeService recipes, SetSteps steps) {
    this.shoots = shoots;
    this.views = views;
    this.frames = frames;
    this.recipes = recipes;
    this.steps = steps;
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
   * Carries it over.
   *
   * @return what came of it, view by view
   */
  @Transactional
  public List<Outcome> carry(UUID studio, UUID from, CarryWanted wanted, List<UUID> to) {
    View source = shoots.ownedView(studio, from);
    CarryOver.Side side = side(source);
    List<Outcome> outcomes = new ArrayList<>();
    List<SetSteps.Change> changes = new ArrayList<>();
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
        changes.add(new SetSteps.Change(view, c.recipe(), c.look()));
      }
    }
    steps.take(studio, source.shootId(), "Carried over from " + source.name(), changes);
    return outcomes;
  }

  /** What came along has been looked at. */
  @Transactional
  public void looked(UUID studio, UUID view) {
    views.holdOwned(view, studio).orElseThrow(() -> Problem.notFound("view")).lookAt(List.of());
  }
}
