package illuminar.core.first;

import illuminar.core.pass.Catalogue;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/** A recipe to which regions and passes are added under names of their own. */
final class Draft {
  private final Recipe start;
  private final List<Region> regions;
  private final List<Pass> passes;

  Draft(Recipe start) {
    this.start = start;
    regions = new ArrayList<>(start.regions());
    passes = new ArrayList<>(start.passes());
  }

  /** The region with this id, made of the parts where there is none yet. */
  Region region(String id, String name, Part... parts) {
    Optional<Region> own = regions.stream().filter(r -> r.id().equals(id)).findFirst();
    if (own.isPresent()) {
      return own.get();
    }
    Region region = new Region(id, name, List.of(parts), 0, false);
    regions.add(region);
    return region;
  }

  /** Adds a pass after those that come before it in the order of work. */
  void pass(String id, Move move, Where where, double strength, String why) {
    List<String> taken = passes.stream().map(Pass::id).toList();
    Pass pass = new Pass(free(id, taken), true, move, where, Gate.ALL, strength, why);
    int rank = rank(pass);
    int at = passes.size();
    while (at > 0 && rank(passes.get(at - 1)) > rank) {
      at--;
    }
    passes.add(at, pass);
  }

  private static int rank(Pass pass) {
    return Catalogue.kinds().indexOf(Catalogue.of(pass.move()));
  }

  private static String free(String id, Collection<String> taken) {
    String name = id;
    for (int k = 2; taken.contains(name); k++) {
      name = id + "-" + k;
    }
    return name;
  }

  static Part add(String id, Shape shape) {
    return new Part(id, Part.Combine.ADD, shape);
  }

  static Part takeAway(String id, Shape shape) {
    return new Part(id, Part.Combine.TAKE_AWAY, shape);
  }

  Recipe done() {
    return new Recipe(start.ground(), regions, passes, start.groups());
  }
}
