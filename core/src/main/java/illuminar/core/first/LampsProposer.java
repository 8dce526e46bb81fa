package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Burnt;
import illuminar.core.frame.Frame;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.RestoreLight;
import illuminar.core.picture.Picture;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.BurntLight;
import illuminar.core.render.PreviewSession;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** Lamps and other burnt light beside the windows, restored from the darkest frame. */
final class LampsProposer implements Proposer {
  /** Share of the picture below which burnt spots are left alone. */
  private static final double LEAST = 0.0003;

  /** Stops by which the darker frame must be darker to hold anything. */
  private static final double DARKER = 1.5;

  private static final double BLOOM = 12;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    if (recipe.ground() instanceof Ground.RadianceMerge) {
      return Proposal.none(recipe, "The merged light holds what is burnt in the room's frame.");
    }
    Analysis analysis = session.analysis();
    Frame anchor = analysis.frames().anchorFrame();
    Frame darkest =
        analysis.frames().ambient().stream()
            .min(Comparator.comparingDouble(Frame::stops))
            .orElse(anchor);
    if (anchor.stops() - darkest.stops() < DARKER) {
      return Proposal.none(recipe, "No frame is dark enough to hold what is burnt.");
    }
    Draft draft = new Draft(recipe);
    List<Part> parts = new ArrayList<>();
    parts.add(Draft.add("burnt", new BurntLight(anchor.id(), 0.4, BLOOM)));
    Seen.windowRegion(recipe)
        .ifPresent(w -> parts.add(Draft.takeAway("panes", w.parts().get(0).shape())));
    Region region = draft.region("burnt-light", "Burnt light", parts.toArray(Part[]::new));
    double share = burnt(draft.done(), region, session, anchor);
    if (share < LEAST) {
      return Proposal.none(recipe, "Hardly anything is burnt beside the windows.");
    }
    String why =
        String.format(
            Locale.ROOT,
            "%.2f %% of the picture is burnt beside the windows; the frame %.0f stops darker holds"
                + " it.",
            100 * share,
            anchor.stops() - darkest.stops());
    draft.pass(
        "lamps", new RestoreLight(darkest.id(), -1.2, -0.1), new Where(region.id(), false), 1, why);
    return new Proposal(draft.done(), why);
  }

  /** Share of the picture that is burnt within the region. */
  private static double burnt(Recipe recipe, Region region, PreviewSession session, Frame anchor) {
    Analysis analysis = session.analysis();
    float[] in = session.coverage(recipe, region.id(), analysis.raster()).copy();
    Picture p = analysis.draw(anchor.id(), analysis.raster());
    double sum = 0;
    for (int i = 0; i < in.length; i++) {
      if (p.mostAt(i) > Burnt.LAMP) {
        sum += in[i];
      }
    }
    return sum / in.length;
  }
}
