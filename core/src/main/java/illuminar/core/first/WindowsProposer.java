package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Panes;
import illuminar.core.analysis.window.Reflections;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.PreviewSession;
import java.util.Locale;

/** The view, brought in where panes are burnt in the room's frame and clear in another. */
final class WindowsProposer implements Proposer {
  static final String REGION = "window-panes";

  /** How much brighter than the room the view stands, stops. */
  private static final double OVER = 0.9;

  private static final double EDGE = 4;

  /** Share of the panes' light from which on what they mirror is seen. */
  private static final double SEEN = 0.02;

  /** Share of the picture below which what was found is a glint, not a window. */
  private static final double LEAST = 0.001;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    if (session.analysis().frames().ambient().size() < 2) {
      return Proposal.none(recipe, "Windows need a second ambient or window frame.");
    }
    Panes panes = Panes.of(session.analysis());
    if (panes.count() == 0 || panes.share() < LEAST) {
      return Proposal.none(
          recipe, "No pane is burnt in the room's frame and clear in a darker one.");
    }
    String why =
        String.format(
            Locale.ROOT,
            "%d panes, %.1f %% of the picture, are burnt in the room's frame and clear in this one.",
            panes.count(),
            100 * panes.share());
    boolean mirrored = mirrored(session.analysis(), panes.windowFrame());
    if (mirrored) {
      why += " What they mirror of the room is taken out.";
    }
    Draft draft = new Draft(recipe);
    Region region = draft.region(REGION, "Window panes", Draft.add("panes", new WindowFinder(0)));
    draft.pass(
        "windows",
        new BringFrame(panes.windowFrame(), OVER, EDGE, 0, 0, 1, mirrored ? 1 : 0),
        new Where(region.id(), false),
        1,
        why);
    return new Proposal(draft.done(), why);
  }

  /** Whether the panes mirror enough of the room to be seen, and a pair of frames tells it. */
  private static boolean mirrored(Analysis analysis, String frame) {
    return Reflections.of(analysis, frame, Panes.of(analysis).draw(analysis.small())).part() > SEEN;
  }
}
