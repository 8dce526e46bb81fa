package illuminar.core.first;

import illuminar.core.geometry.Fringes;
import illuminar.core.geometry.Geometry;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.Locale;

/** Takes out the colour fringes of a lens where they can be seen. */
final class FringesProposer implements Proposer {
  /** Percent of the radius below which nobody sees them: a third of a pixel at 2400. */
  private static final double LEAST = 0.025;

  /** The most that a lens has; what looks like more is something else. */
  private static final double MOST = 0.4;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Geometry start = recipe.geometry();
    if (start.red() != 0 || start.blue() != 0) {
      return Proposal.none(recipe, "Fringes are taken out already.");
    }
    Fringes.Found found = Fringes.of(session.picture(recipe, session.analysis().raster()));
    double most = Math.max(Math.abs(found.red()), Math.abs(found.blue()));
    if (!found.sure() || most < LEAST || most > MOST) {
      return Proposal.none(recipe, "No colour fringes are seen.");
    }
    double red = steps(found.red());
    double blue = steps(found.blue());
    String why =
        String.format(
            Locale.ROOT,
            "Along %d edges red is larger by %.2f %% and blue by %.2f %%; taken out.",
            found.edges(),
            red,
            blue);
    return Proposal.lies(recipe, start.fringed(red, blue), why);
  }

  /** Few lenses need it. */
  @Override
  public boolean whenAsked() {
    return true;
  }

  private static double steps(double v) {
    return Math.rint(v * 200) / 200;
  }
}
