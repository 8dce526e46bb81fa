package illuminar.core.recipe;

import illuminar.core.geometry.Geometry;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Group;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.region.Region;
import illuminar.core.region.Territory;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Everything that was decided about a view's picture: plain data, nothing computed. */
public record Recipe(
    Ground ground, List<Region> regions, List<Pass> passes, List<Group> groups, Geometry geometry) {
  public static final int MOST_PASSES = 200;
  public static final int MOST_REGIONS = 200;

  public Recipe {
    regions = List.copyOf(regions);
    passes = List.copyOf(passes);
    groups = List.copyOf(groups);
    if (passes.size() > MOST_PASSES
        || regions.size() > MOST_REGIONS
        || groups.size() > MOST_PASSES) {
      throw new IllegalArgumentException(
          "a recipe holds at most " + MOST_PASSES + " passes and " + MOST_REGIONS + " regions");
    }
    Set<String> names = new HashSet<>();
    for (Region region : regions) {
      if (!names.add(region.id())) {
        throw new IllegalArgumentException("two regions share the id " + region.id());
      }
    }
    for (Region region : regions) {
      Territory.of(region, regions, ground);
    }
    Set<String> together = new HashSet<>();
    for (Group group : groups) {
      if (!together.add(group.id())) {
        throw new IllegalArgumentException("two groups share the id " + group.id());
      }
      if (!group.where().everywhere() && !names.contains(group.where().region())) {
        throw new IllegalArgumentException(
            "group " + group.name() + " uses a region that is not there");
      }
    }
    Set<String> ids = new HashSet<>();
    for (Pass pass : passes) {
      if (!ids.add(pass.id())) {
        throw new IllegalArgumentException("two passes share the id " + pass.id());
      }
      if (!pass.where().everywhere() && !names.contains(pass.where().region())) {
        throw new IllegalArgumentException(
            "pass " + pass.id() + " uses a region that is not there");
      }
      if (!pass.group().isEmpty() && !together.contains(pass.group())) {
        throw new IllegalArgumentException(
            "pass " + pass.id() + " belongs to a group that is not there");
      }
    }
  }

  /** A recipe of a picture that lies as its anchor does. */
  public Recipe(Ground ground, List<Region> regions, List<Pass> passes, List<Group> groups) {
    this(ground, regions, passes, groups, Geometry.NONE);
  }

  /** The same without groups. */
  public Recipe(Ground ground, List<Region> regions, List<Pass> passes) {
    this(ground, regions, passes, List.of(), Geometry.NONE);
  }

  /** The group that a pass belongs to. */
  public Optional<Group> group(Pass pass) {
    return groups.stream().filter(g -> g.id().equals(pass.group())).findFirst();
  }

  /** Whether a pass can change anything, its group included. */
  public boolean active(Pass pass) {
    return pass.active() && group(pass).map(g -> g.on() && g.strength() > 0).orElse(true);
  }

  /** How strongly a pass works, its group included; 0 to 1. */
  public double strength(Pass pass) {
    return pass.strength() * group(pass).map(Group::strength).orElse(1.0);
  }

  public Optional<Region> region(String id) {
    return regions.stream().filter(r -> r.id().equals(id)).findFirst();
  }

  /** Whether a pass can work there: everywhere, or in a region that there is. */
  public boolean has(Where where) {
    return where.everywhere() || region(where.region()).isPresent();
  }

  /** A region with all that it depends on. */
  public Optional<Territory> territory(String id) {
    return region(id).map(r -> Territory.of(r, regions, ground));
  }

  /**
   * Ids of all frames that the picture is made from: those of the ground, of passes that can change
   * anything, and those in which the regions of such passes are found.
   */
  public Set<String> frames() {
    Set<String> all = new LinkedHashSet<>(ground.sources());
    for (Pass pass : passes) {
      if (active(pass)) {
        all.addAll(PassKind.of(pass.move()).framesOf(pass.move()));
        Stream.concat(Stream.of(pass.where()), group(pass).stream().map(Group::where))
            .filter(where -> !where.everywhere())
            .flatMap(where -> territory(where.region()).stream())
            .forEach(t -> all.addAll(t.frames()));
      }
    }
    return all;
  }

  /** An id for a further pass: this one, or with a number where it is taken. */
  public String freePass(String id) {
    List<String> taken = passes.stream().map(Pass::id).toList();
    String name = id;
    for (int k = 2; taken.contains(name); k++) {
      name = id + "-" + k;
    }
    return name;
  }

  /** The same recipe on another ground. */
  public Recipe with(Ground other) {
    return new Recipe(other, regions, passes, groups, geometry);
  }

  /** The same recipe with other groups. */
  public Recipe withGroups(List<Group> other) {
    return new Recipe(ground, regions, passes, other, geometry);
  }

  /** The same recipe with a pass more, after those that come before it in the order of work. */
  public Recipe with(Pass pass) {
    List<Pass> all = new ArrayList<>(passes);
    int at = all.size();
    while (at > 0 && Catalogue.rank(all.get(at - 1).move()) > Catalogue.rank(pass.move())) {
      at--;
    }
    all.add(at, pass);
    return withPasses(all);
  }

  /** The same recipe with other passes. */
  public Recipe withPasses(List<Pass> other) {
    return new Recipe(ground, regions, other, groups, geometry);
  }

  /** The same recipe of a picture that lies otherwise. */
  public Recipe with(Geometry other) {
    return new Recipe(ground, regions, passes, groups, other);
  }

  /** The same recipe with other regions. */
  public Recipe withRegions(List<Region> other) {
    return new Recipe(ground, other, passes, groups, geometry);
  }
}
