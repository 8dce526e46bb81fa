package illuminar.core.first;

import illuminar.core.geometry.Bulge;
import illuminar.core.geometry.Geometry;
import illuminar.core.picture.Plane;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.Locale;

/** Takes out a lens's bulge where straight edges show it. */
final class BulgeProposer implements Proposer {
  /** Percent below which nobody sees it. */
  private static final double LEAST = 0.4;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Geometry start = recipe.geometry();
    if (start.bulge() != 0 || start.outer() != 0) {
      return Proposal.none(recipe, "The lens's bulge is taken out already.");
    }
    Plane tones = session.picture(recipe, session.analysis().raster()).tones();
    Bulge.Found found =
        Bulge.of(tones, start, session.analysis().fullWidth(), session.analysis().fullHeight());
    if (!found.sure() || Math.abs(found.bulge()) < LEAST) {
      return Proposal.none(recipe, "Straight edges are straight.");
    }
    double bulge = Math.rint(found.bulge() * 20) / 20;
    String why =
        String.format(
            Locale.ROOT,
            "%d long edges bow by %.2f %% of the picture in the middle; %.2f %% is left without a"
                + " bulge of %.1f %%.",
            found.edges(),
            100 * found.before(),
            100 * found.after(),
            bulge);
    return Proposal.lies(recipe, start.straightened(bulge), why);
  }

  /** It takes a while, and few lenses need it. */
  @Override
  public boolean whenAsked() {
    return true;
  }
}
