package illuminar.core.first;

import illuminar.core.recipe.Recipe;

/**
 * A recipe with what is proposed for one stage of it.
 *
 * @param said what was found, in one line; where nothing is proposed, why not
 */
public record Proposal(Recipe recipe, String said) {

  /** Nothing is proposed. */
  static Proposal none(Recipe recipe, String why) {
    return new Proposal(recipe, why);
  }
}
