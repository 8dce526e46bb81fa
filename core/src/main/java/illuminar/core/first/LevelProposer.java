package illuminar.core.first;

import illuminar.core.geometry.Geometry;
import illuminar.core.geometry.Level;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;

/**
 * Lays the edges of the wall in front level, as if the camera had faced it. A matter of taste: a
 * room seen into its corner is meant so.
 */
final class LevelProposer implements Proposer {
  @Override
  public boolean whenAsked() {
    return true;
  }

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Geometry g = recipe.geometry();
    Geometry start = g.turned(g.turn(), g.pitch(), 0);
    Level.Found found =
        Level.of(
            session.picture(recipe, session.analysis().raster()).tones(),
            start,
            session.analysis().fullWidth(),
            session.analysis().fullHeight());
    if (!found.sure()) {
      return Proposal.none(recipe, "There are too few level edges to lay the picture level by.");
    }
    String edges = found.edges() + " level edges slope by " + Leans.degrees(found.before());
    if (!Leans.worth(found.before(), found.after())) {
      return Proposal.none(recipe, "The wall in front lies level: " + edges + ".");
    }
    double yaw = Leans.hundredths(found.geometry().yaw());
    return Proposal.lies(
        recipe,
        start.turned(start.turn(), start.pitch(), yaw),
        edges + "; laid level, " + Leans.degrees(found.after()) + " is left.");
  }
}
