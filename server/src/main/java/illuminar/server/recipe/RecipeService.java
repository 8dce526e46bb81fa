package illuminar.server.recipe;

import illuminar.core.recipe.Recipe;
import illuminar.core.recipe.Sentence;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.web.Problem;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps every acknowledged state of a recipe. Undo and redo move a pointer along the revisions;
 * nothing is overwritten. A change needs the edition that it was made from, so that two tabs cannot
 * overwrite each other unseen.
 */
@Service
public class RecipeService {
  private final Views views;
  private final Revisions revisions;
  private final RecipeJson json;

  RecipeService(Views views, Revisions revisions, RecipeJson json) {
    this.views = views;
    this.revisions = revisions;
    this.json = json;
  }

  /**
   * Where a recipe stands.
   *
   * @param edition changes with every change, undo and redo included
   */
  public record State(
      Recipe recipe, int revision, long edition, boolean canUndo, boolean canRedo, String said) {}

  @Transactional(readOnly = true)
  public State state(UUID studio, UUID view) {
    return state(owned(studio, view));
  }

  private View owned(UUID studio, UUID view) {
    return views.findOwned(view, studio).orElseThrow(() -> Problem.notFound("view"));
  }

  /** Where the recipe of a view stands whose owner is known. */
  @Transactional(readOnly = true)
  public State state(View view) {
    Revision now =
        revisions
            .findByViewIdAndNumber(view.id(), view.currentRevision())
            .orElseThrow(
                () -> new Problem(HttpStatus.CONFLICT, view.name() + " is not lined up yet."));
    boolean redo = revisions.newestAfter(view.id(), now.number()).isPresent();
    return new State(
        json.read(now.recipe()), now.number(), view.edition(), now.parent() > 0, redo, now.said());
  }

  /** The first recipe of a view, made by the product. */
  @Transactional
  public void begin(UUID viewId, Recipe recipe) {
    View view = views.findById(viewId).orElseThrow(() -> Problem.notFound("view"));
    if (view.currentRevision() == 0) {
      revisions.save(new Revision(viewId, 1, 0, json.write(recipe), "first version"));
      view.pointAt(1);
    }
  }

  /** Keeps a changed recipe as the newest revision; one that is the same is no step. */
  @Transactional
  public State change(UUID studio, UUID viewId, long edition, Recipe recipe) {
    View view = owned(studio, viewId);
    State before = state(view);
    check(before, edition);
    if (recipe.equals(before.recipe())) {
      return before;
    }
    int number = revisions.last(viewId) + 1;
    String said = Sentence.change(before.recipe(), recipe);
    revisions.save(new Revision(viewId, number, before.revision(), json.write(recipe), said));
    view.pointAt(number);
    if (view.state() == View.State.LINED_UP) {
      view.come(View.State.BLENDED);
    }
    views.saveAndFlush(view);
    return state(view);
  }

  @Transactional
  public State undo(UUID studio, UUID viewId, long edition) {
    View view = owned(studio, viewId);
    State now = state(view);
    check(now, edition);
    int parent =
        revisions.findByViewIdAndNumber(viewId, now.revision()).map(Revision::parent).orElse(0);
    return parent == 0 ? now : point(view, parent);
  }

  @Transactional
  public State redo(UUID studio, UUID viewId, long edition) {
    View view = owned(studio, viewId);
    State now = state(view);
    check(now, edition);
    Optional<Revision> next = revisions.newestAfter(viewId, now.revision());
    return next.isEmpty() ? now : point(view, next.get().number());
  }

  private State point(View view, int revision) {
    view.pointAt(revision);
    views.saveAndFlush(view);
    return state(view);
  }

  private static void check(State now, long edition) {
    if (now.edition() != edition) {
      throw new Problem(
          HttpStatus.PRECONDITION_FAILED,
          "Another tab changed this view meanwhile ("
              + now.said()
              + "). Take over its state or keep yours.");
    }
  }

  /** What was done, newest first. */
  public record Said(int revision, int parent, String said, java.time.Instant made) {}

  @Transactional(readOnly = true)
  public List<Said> history(UUID studio, UUID viewId) {
    owned(studio, viewId);
    return revisions.history(viewId).stream()
        .map(r -> new Said(r.number(), r.parent(), r.said(), r.made()))
        .toList();
  }
}
