package illuminar.core.first;

import illuminar.core.balance.Solve;
import illuminar.core.colour.Lab;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Balance;
import illuminar.core.pass.kinds.ClearCasts;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.List;
import java.util.Locale;

/** What light surfaces still lean by together, taken out as a careful hand would: most of it. */
final class BalanceProposer implements Proposer {
  /** Lean of light surfaces together that nobody sees. */
  private static final double LEAST = 2.5;

  /** The trade takes 75 to 80 % of a correction (common practice, no source). */
  private static final double SHARE = 0.8;

  /** Lean above which it may be meant, and half of it is left. */
  private static final double MUCH = 6;

  private static final int PICKS = 150;

  @Override
  public Proposal propose(Recipe recipe, PreviewSession session) {
    if (Outdoors.seen(session.analysis())) {
      return Proposal.none(recipe, "Outside, the light of the hour is the colour that is meant.");
    }
    Seen seen = Seen.of(recipe, session);
    List<Lab> picks = seen.nearlyNeutral(PICKS);
    if (picks.size() < PICKS / 4) {
      return Proposal.none(recipe, "Too little of the picture is nearly neutral.");
    }
    double a = picks.stream().mapToDouble(Lab::a).average().orElse(0);
    double b = picks.stream().mapToDouble(Lab::b).average().orElse(0);
    if (Math.hypot(a, b) < LEAST) {
      return Proposal.none(
          recipe,
          String.format(
              Locale.ROOT, "Light surfaces are neutral together: a* %.1f, b* %.1f.", a, b));
    }
    double cleared = cleared(recipe);
    boolean much = Math.hypot(a, b) > MUCH;
    if (cleared > 0 && (b > 0 || much && cleared >= CastsProposer.AMOUNT)) {
      return Proposal.none(
          recipe,
          String.format(
              Locale.ROOT,
              "Casts are cleared; that light surfaces lean by a* %+.1f, b* %+.1f still is paint, or"
                  + " warmth that is meant.",
              a,
              b));
    }
    Balance move = Solve.neutral(picks).move();
    // casts that were cleared in part were told from the light of the hour
    boolean meant = much && cleared == 0;
    String why =
        String.format(
            Locale.ROOT,
            "Light surfaces lean together by a* %+.1f, b* %+.1f; %s.",
            a,
            b,
            meant
                ? "half of it is left, as it may be the light of the hour"
                : "most of it is taken out");
    Draft draft = new Draft(recipe);
    Where beside = Seen.besideFrames(draft, recipe, session.analysis());
    draft.pass(
        "balance",
        new Balance(0, Math.round(move.warmer()), Math.round(move.tint()), 1),
        beside,
        meant ? SHARE / 2 : SHARE,
        why);
    Seen.Done done = seen.doneBy(Seen.of(draft.done(), session));
    if (done.neutral() > done.was() || done.coloured() < Seen.Done.KEPT) {
      return Proposal.none(
          recipe,
          "Balance would bring light surfaces no nearer to neutral, or fade coloured things.");
    }
    return new Proposal(draft.done(), why);
  }

  /** Share of casts that passes clear already, the most of them; 0 where there is none. */
  private static double cleared(Recipe recipe) {
    return recipe.passes().stream()
        .filter(p -> p.on() && p.move() instanceof ClearCasts)
        .mapToDouble(p -> p.strength() * ((ClearCasts) p.move()).amount())
        .max()
        .orElse(0);
  }
}
