package illuminar.core.first;

import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Plumb;
import illuminar.core.picture.Picture;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.Locale;

/**
 * Sets walls upright that lean a little: a camera that looked up or down, or was not held level.
 * Where they lean much it was meant (common practice, no source).
 */
final class UprightProposer implements Proposer {
  /** Degrees by which plumb edges lean at least, in the mean, for anybody to see it. */
  private static final double LEAST = 0.2;

  /** Share of the lean that may be left. */
  private static final double LEFT = 0.5;

  private static final double MOST_TURN = 5;
  private static final double MOST_PITCH = 9;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Geometry start = recipe.geometry();
    if (start.turn() != 0 || start.pitch() != 0) {
      return Proposal.none(recipe, "The picture is straightened already.");
    }
    Picture picture = session.picture(recipe, session.analysis().raster());
    Plumb.Found found =
        Plumb.of(
            picture.tones(),
            start,
            session.analysis().fullWidth(),
            session.analysis().fullHeight());
    if (!found.sure()) {
      return Proposal.none(recipe, "There are too few plumb edges to set the picture upright by.");
    }
    String edges = found.edges() + " plumb edges lean by " + degrees(found.before());
    if (found.before() < LEAST || found.after() > LEFT * found.before()) {
      return Proposal.none(recipe, "The walls stand upright: " + edges + ".");
    }
    Geometry g = found.geometry();
    if (Math.abs(g.turn()) > MOST_TURN || Math.abs(g.pitch()) > MOST_PITCH) {
      return Proposal.none(recipe, edges + ", which looks meant; it stays as it is.");
    }
    Geometry upright = start.turned(hundredths(g.turn()), hundredths(g.pitch()), g.yaw());
    return Proposal.lies(
        recipe, upright, edges + "; set upright, " + degrees(found.after()) + " is left.");
  }

  private static double hundredths(double v) {
    return Math.rint(v * 100) / 100;
  }

  private static String degrees(double v) {
    return String.format(Locale.ROOT, "%.1f°", v);
  }
}
