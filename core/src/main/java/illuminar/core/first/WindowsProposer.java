package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.analysis.window.Panes;
import illuminar.core.analysis.window.Reflections;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.ShowView;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.core.region.part.Glazing;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.PreviewSession;
import java.util.List;
import java.util.Locale;

/**
 * The view: over merged light shown by one curve from all frames, so that bars and leaves before it
 * need no matte; in a blend brought in from the frame in which burnt panes with straight sides are
 * clear, else by one curve likewise if that shows it more evenly.
 */
final class WindowsProposer implements Proposer {
  static final String REGION = "window-panes";

  /** How much brighter than the room the view stands, stops. */
  private static final double OVER = 0.9;

  private static final double EDGE = 4;

  /** Share of the panes' light from which on what they mirror is seen. */
  private static final double SEEN = 0.02;

  /** Share of the panes that have straight sides from which on a frame tells them whole. */
  private static final double STRAIGHT = 0.6;

  /** Share of the openings that burns from which on what is left are bars. */
  private static final double FILLED = 0.75;

  /** Raggedness of their outlines above which panes are cut by the view itself. */
  private static final double RAGGED = 2.5;

  /** Tone of the brightest of a view in the end, stops below paper white. */
  private static final double BRIGHTEST = -0.15;

  /** How far a window reaches over its frame, as a share of the picture's long edge. */
  private static final double GROW = 0.004;

  private static final double SOFT = 0.009;

  /**
   * How far its edge looks for the frame's, as such a share, so that what is done beside windows
   * ends where the frame ends and draws no line along it.
   */
  private static final double TRUE = 0.01;

  /** Unevenness of a view that is not seen, stops. */
  private static final double SEEN_UNEVEN = 0.08;

  /** Share of the picture below which what was found is a glint, not a window. */
  private static final double LEAST = 0.001;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    if (session.analysis().frames().ambient().size() < 2) {
      return Proposal.none(recipe, "Windows need a second ambient or window frame.");
    }
    Analysis analysis = session.analysis();
    if (Outdoors.seen(analysis)) {
      return Proposal.none(recipe, "Seen from outside, no window shows a view.");
    }
    List<Opening> openings = Openings.of(analysis);
    if (openings.isEmpty()) {
      return Proposal.none(
          recipe,
          held(Panes.of(analysis))
              ? "What burns is not enclosed by anything dark, so it is no view from a room."
              : "No pane is burnt in the room's frame and clear in a darker one.");
    }
    String through = openings.size() == 1 ? "one window" : openings.size() + " windows";
    return recipe.ground() instanceof Ground.RadianceMerge
        ? onMergedLight(recipe, session, through)
        : onBlend(recipe, session, through);
  }

  private static boolean held(Panes panes) {
    return panes.count() > 0 && panes.share() >= LEAST;
  }

  private static Proposal onMergedLight(Recipe recipe, PreviewSession session, String through) {
    Proposal curve =
        byOneCurve(recipe, session.analysis(), "The view through " + through + " by one curve.");
    double off = Evenness.of(curve.recipe(), session);
    return off <= SEEN_UNEVEN || off <= Evenness.of(recipe, session)
        ? curve
        : Proposal.none(recipe, "The merged light shows the view more evenly than one curve.");
  }

  private static Proposal onBlend(Recipe recipe, PreviewSession session, String through) {
    Analysis analysis = session.analysis();
    Panes panes = Panes.of(analysis);
    boolean smooth = panes.raggedness() <= RAGGED && Openings.filled(analysis) >= FILLED;
    if (held(panes) && (panes.straightShare() >= STRAIGHT || smooth)) {
      return broughtIn(recipe, analysis, panes);
    }
    double without = Evenness.of(recipe, session);
    String why =
        String.format(
            Locale.ROOT,
            "The view through %s is %.2f stops off one curve in the blend.",
            through,
            without);
    Proposal curve = byOneCurve(recipe, analysis, why);
    return Evenness.of(curve.recipe(), session) < without
        ? curve
        : Proposal.none(recipe, "The blend shows the view as evenly as one curve would.");
  }

  /** The window frame's view laid into the panes, kept apart from all that stands before them. */
  private static Proposal broughtIn(Recipe recipe, Analysis analysis, Panes panes) {
    String why =
        String.format(
            Locale.ROOT,
            "%d panes, %.1f %% of the picture, are burnt in the room's frame and clear in this one.",
            panes.count(),
            100 * panes.share());
    boolean mirrored = mirrored(analysis, panes.windowFrame());
    if (mirrored) {
      why += " What they mirror of the room is taken out.";
    }
    Draft draft = new Draft(recipe);
    Region region = draft.region(REGION, "Window panes", Draft.add("panes", new WindowFinder(0)));
    draft.pass(
        "windows",
        new BringFrame(panes.windowFrame(), OVER, EDGE, mirrored ? 1 : 0),
        new Where(region.id(), false),
        1,
        why);
    return new Proposal(draft.done(), why);
  }

  /** All that is seen through the openings by one curve. */
  private static Proposal byOneCurve(Recipe recipe, Analysis analysis, String why) {
    double size = Math.max(analysis.fullWidth(), analysis.fullHeight());
    Draft draft = new Draft(recipe);
    Region region =
        draft.region(
            new Region(
                REGION,
                "Window panes",
                List.of(
                    Draft.add(
                        "glazing",
                        new Glazing(
                            Math.round(GROW * size), Math.min(60, Math.round(SOFT * size))))),
                0,
                Math.min(200, Math.round(TRUE * size)),
                0,
                1,
                false));
    draft.pass("windows", new ShowView(0, BRIGHTEST, 1, 1), new Where(region.id(), false), 1, why);
    return new Proposal(draft.done(), why);
  }

  /** Whether the panes mirror enough of the room to be seen, and a pair of frames tells it. */
  private static boolean mirrored(Analysis analysis, String frame) {
    return Reflections.of(analysis, frame, Panes.of(analysis).draw(analysis.small())).part() > SEEN;
  }
}
