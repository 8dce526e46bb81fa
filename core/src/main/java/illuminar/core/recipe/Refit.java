package illuminar.core.recipe;

import illuminar.core.ground.Ground;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.picture.Point;
import illuminar.core.region.Part;
import illuminar.core.region.PartKind;
import illuminar.core.region.Region;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * Fits a recipe to a view whose frames or whose anchor have changed. All that was decided stays;
 * what needs a frame that is gone takes another one in its place and is switched off, and is named.
 */
public final class Refit {
  private final Predicate<String> there;
  private final String anchor;
  private final UnaryOperator<String> instead;
  private final UnaryOperator<Point> to;
  private final List<String> lost = new ArrayList<>();

  private Refit(
      Predicate<String> there,
      String anchor,
      UnaryOperator<String> instead,
      UnaryOperator<Point> to) {
    this.there = there;
    this.anchor = anchor;
    this.instead = instead;
    this.to = to;
  }

  /**
   * A recipe that fits.
   *
   * @param lost what could not be kept as it was, in words, in the order of the recipe
   */
  public record Fitted(Recipe recipe, List<String> lost) {}

  /**
   * Fits a recipe.
   *
   * @param there ids of the frames that the view has now
   * @param anchor id of its anchor
   * @param instead the frame that comes nearest to one that is gone, by its id
   * @param to where each place of the view is now
   */
  public static Fitted of(
      Recipe recipe,
      Set<String> there,
      String anchor,
      UnaryOperator<String> instead,
      UnaryOperator<Point> to) {
    Refit refit = new Refit(there::contains, anchor, instead, to);
    Ground ground = refit.ground(recipe.ground());
    List<Region> regions = recipe.regions().stream().map(refit::region).toList();
    List<Pass> passes = recipe.passes().stream().map(refit::pass).toList();
    return new Fitted(
        new Recipe(ground, regions, passes, recipe.groups(), recipe.geometry()),
        List.copyOf(refit.lost));
  }

  /** Ids of all frames that a recipe names, also in what is switched off. */
  public static Set<String> named(Recipe recipe) {
    Set<String> all = new LinkedHashSet<>(recipe.ground().named());
    recipe.regions().stream()
        .flatMap(r -> r.parts().stream())
        .forEach(p -> all.addAll(p.shape().frames()));
    recipe.passes().forEach(p -> all.addAll(PassKind.of(p.move()).framesOf(p.move())));
    return all;
  }

  private Ground ground(Ground ground) {
    if (!ground.sources().stream().allMatch(there)) {
      lost.add("the ground has fewer frames");
    }
    return ground.among(there, anchor, to);
  }

  private String here(String frame) {
    return there.test(frame) ? frame : instead.apply(frame);
  }

  private Region region(Region region) {
    return region.withParts(region.parts().stream().map(p -> part(p, region)).toList());
  }

  private Part part(Part part, Region region) {
    Part moved = part.withShape(part.shape().moved(to));
    if (part.shape().frames().stream().allMatch(there)) {
      return moved;
    }
    PartKind kind = part.shape().getClass().getAnnotation(PartKind.class);
    lost.add(kind.name().toLowerCase(Locale.ROOT) + " in " + region.name() + " is switched off");
    return moved.withShape(moved.shape().foundIn(this::here)).switchedOff();
  }

  private Pass pass(Pass pass) {
    PassKind kind = PassKind.of(pass.move());
    if (kind.framesOf(pass.move()).stream().allMatch(there)) {
      return pass;
    }
    lost.add(kind.name().toLowerCase(Locale.ROOT) + " is switched off");
    return pass.withMove(kind.lit(pass.move(), this::here)).switched(false);
  }
}
