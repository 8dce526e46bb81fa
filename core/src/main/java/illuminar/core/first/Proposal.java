package illuminar.core.first;

import illuminar.core.geometry.Geometry;
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

  /** The picture lies otherwise; the geometry keeps the reason, as a pass does. */
  static Proposal lies(Recipe recipe, Geometry geometry, String why) {
    return new Proposal(recipe.with(geometry.because(why)), why);
  }
}
