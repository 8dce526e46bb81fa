package illuminar.core.first;

import illuminar.core.pass.kinds.Tone;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;

/** A low-contrast starting rendition under all other tones (common practice, no source). */
final class LowContrastProposer implements Proposer {
  private static final Tone SQUEEZED = new Tone(0, -45, -25, 20);

  /** A matter of taste. */
  @Override
  public boolean whenAsked() {
    return true;
  }

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    if (recipe.passes().stream().anyMatch(p -> p.move().equals(SQUEEZED))) {
      return Proposal.none(recipe, "The picture starts with low contrast already.");
    }
    String why = "Squeezes the histogram, so that there is room to work; contrast comes back last.";
    Draft draft = new Draft(recipe);
    draft.passFirst("low-contrast", SQUEEZED, why);
    return new Proposal(draft.done(), why);
  }
}
