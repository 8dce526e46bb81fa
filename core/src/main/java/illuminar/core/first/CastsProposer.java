package illuminar.core.first;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.cast.Casts;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Lab;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Role;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.ClearCasts;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Casts taken off the surfaces that lean from neutral. */
final class CastsProposer implements Proposer {
  /** Mean chroma of nearly neutral surfaces below which no cast is worth clearing. */
  private static final double LEAST = 3;

  /** Share of the room that must be nearly neutral for surfaces to tell the light. */
  private static final double ENOUGH = 0.08;

  /** Mean b* above which warm light of the hour is meant, unless a flash tells otherwise. */
  private static final double MEANT = 22;

  /** Share of casts that is cleared where nothing speaks against it. */
  static final double AMOUNT = 0.92;

  private static final double WARMTH = 0.3;

  /** Shares of the amount that are tried, until coloured things keep enough of their colour. */
  private static final double[] SHARES = {1, 0.6};

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    if (Outdoors.seen(session.analysis())) {
      return Proposal.none(recipe, "Outside, the light of the hour is the colour that is meant.");
    }
    Seen seen = Seen.of(recipe, session);
    List<Lab> neutral = seen.nearlyNeutral(4000);
    double lean = neutral.stream().mapToDouble(Lab::chroma).average().orElse(0);
    if (seen.neutralShare() < ENOUGH) {
      return Proposal.none(recipe, "Too little of the picture is nearly neutral to tell casts.");
    }
    if (lean < LEAST) {
      return Proposal.none(
          recipe,
          String.format(Locale.ROOT, "Light surfaces lean by C* %.1f only: no cast.", lean));
    }
    Told told = Told.best(session.analysis());
    double warm = neutral.stream().mapToDouble(Lab::b).average().orElse(0);
    if (told.source == Casts.Source.SURFACES && warm > MEANT) {
      return Proposal.none(
          recipe,
          String.format(
              Locale.ROOT,
              "Light surfaces lean by b* %.1f: so much is probably the light of the hour, and stays.",
              warm));
    }
    String why =
        String.format(
            Locale.ROOT,
            "Light surfaces lean by C* %.1f; %s their own colour. Some of the lamps' warmth stays.",
            lean,
            told.words);
    for (double share : SHARES) {
      Draft draft = new Draft(recipe);
      Where beside = Seen.besideFrames(draft, recipe, session.analysis());
      ClearCasts move =
          new ClearCasts(told.source, told.reference, rounded(share * AMOUNT), WARMTH);
      String said = share < 1 ? why + " More would fade coloured things." : why;
      draft.pass("casts", move, beside, 1, said);
      Seen.Done done = seen.doneBy(Seen.of(draft.done(), session));
      if (done.neutral() < lean && done.coloured() > Seen.Done.KEPT) {
        return new Proposal(draft.done(), said);
      }
    }
    return Proposal.none(
        recipe,
        "Clearing casts would fade coloured things, or bring light surfaces no nearer to neutral.");
  }

  private static double rounded(double share) {
    return Math.round(share * 100) / 100.0;
  }

  /** What tells the casts best: the flash, else a frame without the lamps, else surfaces. */
  private record Told(Casts.Source source, String reference, String words) {
    static Told best(Analysis analysis) {
      return paired(analysis, Role.FLASH)
          .map(f -> new Told(Casts.Source.FLASH, f, "the flash alone tells"))
          .or(
              () ->
                  paired(analysis, Role.LAMPS_OFF)
                      .map(f -> new Told(Casts.Source.LIGHTS, f, "the room without lamps tells")))
          .orElseGet(() -> new Told(Casts.Source.SURFACES, "", "what is nearly neutral tells"));
    }

    private static Optional<String> paired(Analysis analysis, Role role) {
      return LightsApart.paired(analysis, role).stream().map(Frame::id).findFirst();
    }
  }
}
