package illuminar.server.recipe;

import illuminar.core.pass.PassKind;
import illuminar.core.pass.Stage;
import illuminar.core.recipe.Recipe;
import illuminar.core.recipe.Refit;
import illuminar.core.recipe.Sentence;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.web.Problem;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
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
  private final FrameRows frames;
  private final History history;
  private final RecipeJson json;

  RecipeService(
      Views views, Revisions revisions, FrameRows frames, History history, RecipeJson json) {
    this.frames = frames;
    this.views = views;
    this.revisions = revisions;
    this.history = history;
    this.json = json;
  }

  /**
   * Where a recipe stands.
   *
   * @param edition changes with every change, undo and redo included
   * @param frames ids of the frames that the picture is made from
   */
  public record State(
      Recipe recipe,
      int revision,
      long edition,
      boolean canUndo,
      boolean canRedo,
      String said,
      Set<String> frames) {}

  @Transactional(readOnly = true)
  public State state(UUID studio, UUID view) {
    return state(owned(studio, view));
  }

  private View held(UUID studio, UUID view) {
    return views.holdOwned(view, studio).orElseThrow(() -> Problem.notFound("view"));
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
    Recipe recipe = json.read(now.recipe());
    return new State(
        recipe,
        now.number(),
        view.recipeEdition(),
        now.parent() > 0,
        redo,
        now.said(),
        recipe.frames());
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

  /**
   * Fits a recipe to frames that have changed. Where it has to change, what was before cannot be
   * gone back to: it was made of other frames.
   *
   * @param view held
   * @return what could not be kept as it was
   */
  @Transactional
  public List<String> refit(View view, Function<Recipe, Refit.Fitted> fit) {
    if (view.currentRevision() == 0) {
      return List.of();
    }
    Recipe before = state(view).recipe();
    Refit.Fitted fitted = fit.apply(before);
    if (!fitted.recipe().equals(before)) {
      int number = revisions.last(view.id()) + 1;
      String said =
          fitted.lost().isEmpty()
              ? "another anchor"
              : "other frames: " + String.join(", ", fitted.lost());
      revisions.save(new Revision(view.id(), number, 0, json.write(fitted.recipe()), said));
      view.pointAt(number);
    }
    return fitted.lost();
  }

  /**
   * Keeps a changed recipe as the newest revision. One that is the same is no step, and no conflict
   * whatever it was made from: it was sent again because nobody heard the answer.
   */
  @Transactional
  public State change(UUID studio, UUID viewId, long edition, Recipe recipe) {
    View view = held(studio, viewId);
    State before = state(view);
    if (recipe.equals(before.recipe())) {
      return before;
    }
    check(before, edition);
    step(view, recipe, Sentence.change(before.recipe(), recipe));
    return state(view);
  }

  /**
   * A step of a view's history.
   *
   * @param view held
   * @param said what it does
   * @return its number
   */
  @Transactional
  public int step(View view, Recipe recipe, String said) {
    checkFrames(view.id(), recipe);
    int number = revisions.last(view.id()) + 1;
    revisions.save(
        new Revision(view.id(), number, view.currentRevision(), json.write(recipe), said));
    view.pointAt(number);
    view.worked(balances(recipe));
    views.saveAndFlush(view);
    return number;
  }

  /**
   * Goes back to before a step, if the recipe still stands there.
   *
   * @param view held
   * @return whether it did
   */
  @Transactional
  public boolean takeBack(View view, int number) {
    Optional<Integer> before =
        Optional.of(number)
            .filter(n -> n == view.currentRevision())
            .flatMap(n -> revisions.findByViewIdAndNumber(view.id(), n))
            .map(Revision::parent)
            .filter(parent -> parent > 0);
    before.ifPresent(parent -> point(view, parent));
    return before.isPresent();
  }

  @Transactional
  public State undo(UUID studio, UUID viewId, long edition) {
    View view = held(studio, viewId);
    State now = state(view);
    check(now, edition);
    int parent =
        revisions.findByViewIdAndNumber(viewId, now.revision()).map(Revision::parent).orElse(0);
    return parent == 0 ? now : point(view, parent);
  }

  @Transactional
  public State redo(UUID studio, UUID viewId, long edition) {
    View view = held(studio, viewId);
    State now = state(view);
    check(now, edition);
    Optional<Revision> next = revisions.newestAfter(viewId, now.revision());
    return next.isEmpty() ? now : point(view, next.get().number());
  }

  /** Goes to any step of the history; those after it stay. */
  @Transactional
  public State go(UUID studio, UUID viewId, long edition, int number) {
    View view = held(studio, viewId);
    check(state(view), edition);
    history.at(view, number);
    return point(view, number);
  }

  private State point(View view, int revision) {
    view.pointAt(revision);
    State state = state(view);
    view.worked(balances(state.recipe()));
    views.saveAndFlush(view);
    return state;
  }

  /** Whether something is balanced by a recipe. */
  public static boolean balances(Recipe recipe) {
    return recipe.passes().stream()
        .anyMatch(p -> p.on() && PassKind.of(p.move()).stage() == Stage.BALANCE);
  }

  /** A recipe is of its own view's frames, also of those that lie in the bin. */
  private void checkFrames(UUID view, Recipe recipe) {
    if (!frames.ids(view).containsAll(recipe.frames())) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "This recipe names a frame that the view does not have.");
    }
  }

  private static void check(State now, long edition) {
    if (now.edition() != edition) {
      throw new Problem(
          HttpStatus.PRECONDITION_FAILED,
          "Another tab changed this view meanwhile ("
              + now.said()
              + "). Load the other version or keep yours.");
    }
  }
}
