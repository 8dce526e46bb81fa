package illuminar.core.first;

import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;

/** Looks at the picture so far and proposes passes for one stage. Each pass says why. */
interface Proposer {

  /** The recipe with what is proposed added to it; the recipe itself where there is nothing. */
  Proposal propose(Recipe recipe, PreviewSession session);

  /** Whether it comes only when it is asked for, and in no first version. */
  default boolean whenAsked() {
    return false;
  }
}
