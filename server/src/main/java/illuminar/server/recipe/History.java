package illuminar.server.recipe;

import illuminar.core.recipe.Recipe;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The steps of a view's recipe that can be gone back to; nothing is changed here. */
@Service
public class History {
  /** Steps of a history that are listed. */
  private static final int STEPS = 200;

  private final Revisions revisions;
  private final RecipeJson json;

  History(Revisions revisions, RecipeJson json) {
    this.revisions = revisions;
    this.json = json;
  }

  /**
   * One step of a recipe's history.
   *
   * @param said what it did
   * @param here whether the recipe stands there
   * @param left whether it was undone, and another way taken from before it
   */
  public record Step(int number, String said, Instant made, boolean here, boolean left) {}

  /** The newest steps first; those that can be gone back to. */
  @Transactional(readOnly = true)
  public List<Step> of(View view) {
    List<Revisions.Line> lines = revisions.lines(view.id(), revisions.root(view.id()), STEPS);
    Map<Integer, Integer> parents = new HashMap<>();
    Map<Integer, Integer> newest = new HashMap<>();
    for (Revisions.Line line : lines) {
      parents.put(line.number(), line.parent());
      newest.putIfAbsent(line.parent(), line.number());
    }
    // back to where it began, and on to where redo leads
    Set<Integer> way = new HashSet<>();
    follow(parents, view.currentRevision(), way);
    follow(newest, newest.get(view.currentRevision()), way);
    return lines.stream()
        .map(
            l ->
                new Step(
                    l.number(),
                    l.said(),
                    l.made(),
                    l.number() == view.currentRevision(),
                    !way.contains(l.number())))
        .toList();
  }

  private static void follow(Map<Integer, Integer> next, Integer from, Set<Integer> way) {
    Integer at = from;
    while (at != null && way.add(at)) {
      at = next.get(at);
    }
  }

  /** The recipe that the product made first, whatever frames the view has had since. */
  @Transactional(readOnly = true)
  public Optional<Recipe> first(View view) {
    return revisions.findByViewIdAndNumber(view.id(), 1).map(r -> json.read(r.recipe()));
  }

  /**
   * The recipe of a step that can be gone back to.
   *
   * @throws Problem if there is none, or it was made of other frames
   */
  @Transactional(readOnly = true)
  public Recipe at(View view, int number) {
    return Optional.of(number)
        .filter(n -> n >= revisions.root(view.id()))
        .flatMap(n -> revisions.findByViewIdAndNumber(view.id(), n))
        .map(r -> json.read(r.recipe()))
        .orElseThrow(
            () ->
                new Problem(
                    HttpStatus.NOT_FOUND,
                    "There is no such step, or it was made of other frames."));
  }
}
