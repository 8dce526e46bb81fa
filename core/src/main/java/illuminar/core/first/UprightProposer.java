package illuminar.core.first;

import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Plumb;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;

/**
 * Sets walls upright that lean a little: a camera that looked up or down, or was not held level.
 * Where they lean much it was meant, unless somebody asks (common practice, no source).
 *
 * @param whenAsked whether it is only done when asked for, and then however much they lean and
 *     however the picture lies
 */
record UprightProposer(boolean whenAsked) implements Proposer {
  private static final double MOST_TURN = 5;
  private static final double MOST_PITCH = 9;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Geometry was = recipe.geometry();
    if (!whenAsked && (was.turn() != 0 || was.pitch() != 0)) {
      return Proposal.none(recipe, "The picture is straightened already.");
    }
    Geometry start = was.turned(0, 0, was.yaw());
    Plumb.Found found =
        Plumb.of(
            session.picture(recipe, session.analysis().raster()).tones(),
            start,
            session.analysis().fullWidth(),
            session.analysis().fullHeight());
    if (!found.sure()) {
      return Proposal.none(recipe, "There are too few plumb edges to set the picture upright by.");
    }
    String edges = found.edges() + " plumb edges lean by " + Leans.degrees(found.before());
    if (!Leans.worth(found.before(), found.after())) {
      String stand = "The walls stand upright: " + edges + ".";
      boolean leans = was.turn() != 0 || was.pitch() != 0;
      return leans ? Proposal.lies(recipe, start, stand) : Proposal.none(recipe, stand);
    }
    Geometry g = found.geometry();
    if (!whenAsked && (Math.abs(g.turn()) > MOST_TURN || Math.abs(g.pitch()) > MOST_PITCH)) {
      return Proposal.none(recipe, edges + ", which looks meant; it stays as it is.");
    }
    return Proposal.lies(
        recipe,
        start.turned(Leans.hundredths(g.turn()), Leans.hundredths(g.pitch()), g.yaw()),
        edges + "; set upright, " + Leans.degrees(found.after()) + " is left.");
  }
}
