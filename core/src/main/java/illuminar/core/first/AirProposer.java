package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.ClearHaze;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.core.render.PreviewSession;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Clears some of the haze in what is seen through the windows, where there is any. */
final class AirProposer implements Proposer {
  private static final int LONG_EDGE = 900;

  /** Share of the haze that is taken out; without any, distance is lost (common practice). */
  private static final double AMOUNT = 0.5;

  /**
   * Clearing deepens colours and hardens trees; a little of both is taken back (common practice).
   */
  private static final double SATURATION = 0.95;

  private static final double CONTRAST = -10;

  /** Share of the view that must be hazed for anything to be proposed. */
  private static final double LEAST = 0.1;

  /** Transmission below which a place counts as hazed. */
  private static final float HAZED = 0.92f;

  /** A matter of taste. */
  @Override
  public boolean whenAsked() {
    return true;
  }

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    Optional<Region> view = Seen.windowRegion(recipe);
    if (view.isEmpty()) {
      return Proposal.none(recipe, "Draw a region on the hazy part first; no windows are found.");
    }
    if (recipe.passes().stream().anyMatch(p -> p.move() instanceof ClearHaze)) {
      return Proposal.none(recipe, "Haze is cleared already.");
    }
    PreviewSession.PassMap told = told(with(recipe, view.get(), ""), session);
    if (!told.sure()) {
      return Proposal.none(
          recipe, "No level land is seen through the windows by which haze could be told.");
    }
    float[] seen = sorted(told.plane());
    int hazed = 0;
    while (hazed < seen.length && seen[hazed] < HAZED) {
      hazed++;
    }
    if (hazed < LEAST * seen.length) {
      return Proposal.none(recipe, "The view through the windows is clear.");
    }
    String why =
        String.format(
            Locale.ROOT,
            "Haze lies on %.0f %% of the view; of the light of half of that it takes %.0f %% or"
                + " more.",
            100.0 * hazed / seen.length,
            100 * (1 - seen[hazed / 2]));
    return new Proposal(with(recipe, view.get(), why), why);
  }

  private static Recipe with(Recipe recipe, Region view, String why) {
    Draft draft = new Draft(recipe);
    draft.pass(
        "air", new ClearHaze(AMOUNT, 1, SATURATION, CONTRAST), new Where(view.id(), false), 1, why);
    return draft.done();
  }

  /** Transmission of the haze in the region. */
  private static PreviewSession.PassMap told(Recipe recipe, PreviewSession session) {
    Analysis analysis = session.analysis();
    Raster raster = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
    Pass pass =
        recipe.passes().stream()
            .filter(p -> p.move() instanceof ClearHaze)
            .findFirst()
            .orElseThrow();
    return session.map(recipe, pass.id(), raster);
  }

  /** Where the pass works, from the haziest place on. */
  private static float[] sorted(Plane told) {
    float[] seen = new float[told.data().length];
    int n = 0;
    for (float t : told.data()) {
      if (t >= 0) {
        seen[n++] = t;
      }
    }
    float[] out = Arrays.copyOf(seen, n);
    Arrays.sort(out);
    return out;
  }
}
