package illuminar.core.first;

import illuminar.core.analysis.Casts;
import illuminar.core.analysis.LightsApart;
import illuminar.core.colour.Lab;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Role;
import illuminar.core.pass.ClearCasts;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.Renderer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Casts taken off the surfaces that lean from neutral. */
final class CastsProposer implements Proposer {
  /** Mean chroma of nearly neutral surfaces below which no cast is worth clearing. */
  private static final double LEAST = 3;

  /** Share of the room that must be nearly neutral for surfaces to tell the light. */
  private static final double ENOUGH = 0.08;

  /** Mean chroma above which the hour's own light is meant, unless a flash tells otherwise. */
  private static final double MEANT = 12;

  private static final double BY_FLASH = 0.85;
  private static final double BY_SURFACES = 0.6;
  private static final double WARMTH = 0.3;

  @Override
  public Proposal propose(Recipe recipe, Renderer renderer) {
    Seen seen = Seen.of(recipe, renderer);
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
    Optional<Frame> flash =
        renderer.analysis().frames().all().stream()
            .filter(f -> f.role() == Role.FLASH)
            .filter(f -> LightsApart.partner(renderer.analysis(), f).isPresent())
            .findFirst();
    if (flash.isEmpty() && lean > MEANT) {
      return Proposal.none(
          recipe,
          String.format(
              Locale.ROOT,
              "Light surfaces lean by C* %.1f: so much is probably the light of the hour, and stays.",
              lean));
    }
    String why =
        String.format(
            Locale.ROOT,
            "Light surfaces lean by C* %.1f; %s tells their own colour. Some of the lamps' warmth"
                + " stays.",
            lean,
            flash.isPresent() ? "the flash alone" : "what is nearly neutral");
    Draft draft = new Draft(recipe);
    draft.pass(
        "casts",
        new ClearCasts(
            flash.isPresent() ? Casts.Source.FLASH : Casts.Source.SURFACES,
            flash.map(Frame::id).orElse(""),
            flash.isPresent() ? BY_FLASH : BY_SURFACES,
            WARMTH),
        Seen.besideWindows(recipe),
        1,
        why);
    return new Proposal(draft.done(), why);
  }
}
