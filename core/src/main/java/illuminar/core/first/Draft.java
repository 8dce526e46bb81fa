package illuminar.core.first;

import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A recipe to which regions and passes are added under names of their own. */
final class Draft {
  private Recipe recipe;

  Draft(Recipe start) {
    recipe = start;
  }

  /** The region with this id, made of the parts where there is none yet. */
  Region region(String id, String name, Part... parts) {
    return region(new Region(id, name, List.of(parts), 0, false));
  }

  /** The region with this one's id, which it is where there is none yet. */
  Region region(Region region) {
    Optional<Region> own = recipe.region(region.id());
    if (own.isPresent()) {
      return own.get();
    }
    List<Region> regions = new ArrayList<>(recipe.regions());
    regions.add(region);
    recipe = recipe.withRegions(regions);
    return region;
  }

  /** Adds a pass where it belongs in the order of work. */
  void pass(String id, Move move, Where where, double strength, String why) {
    String free = recipe.freePass(id);
    recipe = recipe.with(new Pass(free, true, move, where, Gate.ALL, strength, why));
  }

  /** Adds a pass on the whole picture before all others of its kind. */
  void passFirst(String id, Move move, String why) {
    Pass pass = new Pass(recipe.freePass(id), true, move, Where.EVERYWHERE, Gate.ALL, 1, why);
    List<Pass> all = new ArrayList<>(recipe.passes());
    int at = 0;
    while (at < all.size() && Catalogue.rank(all.get(at).move()) < Catalogue.rank(move)) {
      at++;
    }
    all.add(at, pass);
    recipe = recipe.withPasses(all);
  }

  static Part add(String id, Shape shape) {
    return new Part(id, Part.Combine.ADD, shape);
  }

  static Part takeAway(String id, Shape shape) {
    return new Part(id, Part.Combine.TAKE_AWAY, shape);
  }

  Recipe done() {
    return recipe;
  }
}
