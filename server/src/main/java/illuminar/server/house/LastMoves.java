package illuminar.server.house;

import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.recipe.Recipe;
import illuminar.server.recipe.History;
import illuminar.server.recipe.RecipeService;
import illuminar.server.recipe.Revision;
import illuminar.server.recipe.Revisions;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The last values of each kind of pass in the other views of a shoot, as a start for the next. */
@Service
public class LastMoves {
  private final ShootService shoots;
  private final RecipeService recipes;
  private final Revisions revisions;
  private final History history;

  LastMoves(ShootService shoots, RecipeService recipes, Revisions revisions, History history) {
    this.shoots = shoots;
    this.recipes = recipes;
    this.revisions = revisions;
    this.history = history;
  }

  /**
   * A pass as it was last set by hand.
   *
   * @param view name of the view that it stands in
   */
  public record LastMove(String kind, String view, Pass pass) {}

  /** The last pass of each kind that was made or changed by hand in another view of the shoot. */
  @Transactional(readOnly = true)
  Collection<LastMove> beside(UUID studio, UUID view) {
    Map<String, LastMove> last = new LinkedHashMap<>();
    for (View other : lately(shoots.ownedView(studio, view))) {
      Optional<Recipe> first = history.first(other);
      for (Pass pass : recipes.state(other).recipe().passes()) {
        String kind = PassKind.of(pass.move()).id();
        boolean byHand = first.map(f -> !f.passes().contains(pass)).orElse(true);
        if (pass.active() && byHand) {
          last.putIfAbsent(kind, new LastMove(kind, other.name(), pass));
        }
      }
    }
    return last.values();
  }

  /** The other views of the shoot that were worked on, the latest first. */
  private List<View> lately(View view) {
    record Dated(View view, Instant at) {}
    List<Dated> dated = new ArrayList<>();
    for (View other : shoots.views(view.shootId())) {
      if (!other.id().equals(view.id()) && other.currentRevision() > 1) {
        Optional<Revision> now =
            revisions.findByViewIdAndNumber(other.id(), other.currentRevision());
        now.ifPresent(r -> dated.add(new Dated(other, r.made())));
      }
    }
    return dated.stream()
        .sorted(Comparator.comparing(Dated::at).reversed())
        .map(Dated::view)
        .toList();
  }
}
