package illuminar.server.alternative;

import illuminar.core.recipe.Recipe;
import illuminar.server.recipe.History;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Named revisions of a view, kept to compare, and the one that is delivered. */
@Service
public class Alternatives {
  private static final int MOST = 30;
  private static final int LONGEST = 60;

  private final AlternativeRows rows;
  private final ShootService shoots;
  private final RecipeService recipes;
  private final History history;

  Alternatives(AlternativeRows rows, ShootService shoots, RecipeService recipes, History history) {
    this.rows = rows;
    this.shoots = shoots;
    this.recipes = recipes;
    this.history = history;
  }

  /**
   * What is delivered of a view.
   *
   * @param revision number of the step that it is of
   */
  public record Delivery(Recipe recipe, int revision) {}

  /** What a view is delivered as: the chosen alternative, or how it is now. */
  @Transactional(readOnly = true)
  public Delivery delivered(View view) {
    return rows.findByViewIdAndChosenTrue(view.id())
        .map(a -> new Delivery(history.at(view, a.revision()), a.revision()))
        .orElseGet(
            () -> {
              RecipeService.State now = recipes.state(view);
              return new Delivery(now.recipe(), now.revision());
            });
  }

  @Transactional(readOnly = true)
  List<Alternative> all(UUID studio, UUID view) {
    return rows.findByViewIdOrderByMade(shoots.ownedView(studio, view).id());
  }

  /** Names a revision. */
  @Transactional
  Alternative keep(UUID studio, UUID view, String name, int revision) {
    View of = shoots.heldView(studio, view);
    List<Alternative> all = rows.findByViewIdOrderByMade(view);
    String tidy = name.strip();
    if (tidy.isEmpty() || tidy.length() > LONGEST) {
      throw refused("Name the alternative, in at most 60 letters.");
    }
    if (all.stream().anyMatch(a -> a.name().equalsIgnoreCase(tidy))) {
      throw refused("There is another alternative with the name " + tidy + ".");
    }
    if (all.size() >= MOST) {
      throw refused("A view keeps at most 30 alternatives. Remove one first.");
    }
    history.at(of, revision);
    return rows.save(new Alternative(view, tidy, revision));
  }

  /** Chooses what is delivered, or lets the newest revision be delivered again. */
  @Transactional
  void choose(UUID studio, UUID view, UUID id, boolean chosen) {
    shoots.heldView(studio, view);
    Alternative wanted = owned(view, id);
    rows.findByViewIdAndChosenTrue(view).ifPresent(a -> a.choose(false));
    rows.flush();
    wanted.choose(chosen);
  }

  @Transactional
  void remove(UUID studio, UUID view, UUID id) {
    shoots.heldView(studio, view);
    rows.delete(owned(view, id));
  }

  private Alternative owned(UUID view, UUID id) {
    return rows.findById(id)
        .filter(a -> a.viewId().equals(view))
        .orElseThrow(() -> Problem.notFound("alternative"));
  }

  private static Problem refused(String said) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, said);
  }
}
