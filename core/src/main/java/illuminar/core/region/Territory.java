package illuminar.core.region;

import illuminar.core.ground.Ground;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A region with all that its drawing depends on, so that what was drawn can be kept under it.
 *
 * @param others the regions that it uses, and those that they use
 * @param ground the ground, where some part needs it
 */
public record Territory(Region region, List<Region> others, Optional<Ground> ground) {

  /**
   * @param all the regions of the recipe
   * @throws IllegalArgumentException if the region uses itself, or one that is not there
   */
  public static Territory of(Region region, List<Region> all, Ground ground) {
    List<Region> used = new ArrayList<>();
    gather(region, all, List.of(), used);
    used.remove(region);
    boolean needs = needsGround(region) || used.stream().anyMatch(Territory::needsGround);
    return new Territory(region, used, needs ? Optional.of(ground) : Optional.empty());
  }

  private static void gather(
      Region region, List<Region> all, List<Region> above, List<Region> used) {
    List<Region> path = new ArrayList<>(above);
    path.add(region);
    if (above.contains(region)) {
      throw new IllegalArgumentException(
          "region "
              + region.name()
              + " uses itself"
              + (above.size() > 1 ? " by way of " + above.get(above.size() - 1).name() : ""));
    }
    if (!used.contains(region)) {
      used.add(region);
    }
    for (Part part : region.parts()) {
      for (String id : part.shape().regions()) {
        Region next =
            all.stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow(
                    () ->
                        new IllegalArgumentException(
                            "region " + region.name() + " uses a region that is not there"));
        gather(next, all, path, used);
      }
    }
  }

  private static boolean needsGround(Region region) {
    return region.edge() > 0 || region.parts().stream().anyMatch(p -> p.shape().needsGround());
  }

  /** Where the region's parts add, or where they take away; both are nothing at first. */
  public Territory oneWay(boolean takenAway) {
    return new Territory(takenAway ? region.takenAway() : region.added(), others, ground);
  }

  /** Another of the regions, with what it depends on. */
  public Territory other(String id) {
    List<Region> all = new ArrayList<>(others);
    all.add(region);
    return others.stream()
        .filter(r -> r.id().equals(id))
        .findFirst()
        .map(r -> new Territory(r, all, ground))
        .orElseThrow();
  }

  /** Ids of the frames that its parts are found in, switched-off parts left out. */
  public Set<String> frames() {
    Set<String> all = new LinkedHashSet<>();
    for (Region r : Stream.concat(Stream.of(region), others.stream()).toList()) {
      for (Part part : r.parts()) {
        if (!part.off()) {
          all.addAll(part.shape().frames());
        }
      }
    }
    return all;
  }

  /** Whether it looks at the picture as it stands below a pass. */
  public boolean live() {
    return lives(region) || others.stream().anyMatch(Territory::lives);
  }

  private static boolean lives(Region region) {
    return region.parts().stream().anyMatch(p -> p.shape().look().from() == Look.From.BELOW);
  }

  /** Pixels round a tile that a live one reads at a scale. */
  public int margin(double scale) {
    double px = 0;
    List<Region> all = new ArrayList<>(others);
    all.add(region);
    for (Region r : all) {
      double parts = r.parts().stream().mapToDouble(Part::feather).max().orElse(0);
      px += 1.5 * (r.feather() + parts) + Math.abs(r.grow());
    }
    return (int) Math.ceil(px * scale) + 2 * all.size();
  }
}
