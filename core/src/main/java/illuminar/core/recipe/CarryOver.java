package illuminar.core.recipe;

import illuminar.core.frame.Role;
import illuminar.core.geometry.Geometry;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Group;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.picture.Point;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * Applies passes, ground and geometry of one view's recipe to another view. Frames are matched by
 * {@link MatchedFrames}. Regions that are found in the picture are found again there; drawn regions
 * keep their places and are listed, to be checked. A pass or part without its frame is switched off
 * and named.
 *
 * <p>A pass with the same id and kind is replaced, so that carrying over twice is the same as once;
 * other proposed passes of the same kinds are removed. A region with the same id is kept.
 */
public final class CarryOver {
  /** Away from where anything lies, to see whether a shape has places at all. */
  private static final double ASIDE = 0.0625;

  /**
   * A frame as it is matched.
   *
   * @param stops of its exposure over the anchor's
   */
  public record Rung(String id, Role role, double stops) {}

  /** A view: its recipe, its frames, and which of them is the anchor. */
  public record Side(Recipe recipe, List<Rung> rungs, String anchor) {
    public Side {
      rungs = List.copyOf(rungs);
    }

    /** The frame with this id. */
    Optional<Rung> rung(String id) {
      return rungs.stream().filter(r -> r.id().equals(id)).findFirst();
    }

    /** Ids of the ambient frames. */
    List<String> ambient() {
      return rungs.stream().filter(r -> r.role() == Role.AMBIENT).map(Rung::id).toList();
    }
  }

  /**
   * What is carried over.
   *
   * @param passes by their ids, with the regions and groups that they need
   * @param ground whether the ground is made in the same way
   * @param geometry whether the picture is set upright and cut in the same way
   */
  public record Wanted(Set<String> passes, boolean ground, boolean geometry) {
    public Wanted {
      passes = Set.copyOf(passes);
    }
  }

  /**
   * What came of it.
   *
   * @param lost what could not be done as it was, in words, in the order of the recipe
   * @param look names of drawn regions that came along
   */
  public record Carried(Recipe recipe, List<String> lost, List<String> look) {}

  private final Side from;
  private final Side to;
  private final MatchedFrames matched;
  private final List<String> lost = new ArrayList<>();
  private final List<String> look = new ArrayList<>();

  private CarryOver(Side from, Side to) {
    this.from = from;
    this.to = to;
    matched = new MatchedFrames(from, to);
  }

  /** Applies what is wanted of one view to another. */
  public static Carried of(Side from, Wanted wanted, Side to) {
    return new CarryOver(from, to).carried(wanted);
  }

  private Carried carried(Wanted wanted) {
    Recipe source = from.recipe();
    Recipe made = to.recipe();
    if (wanted.ground()) {
      made = made.with(ground(source.ground()));
    }
    if (wanted.geometry()) {
      made = made.with(geometry(source.geometry()));
    }
    List<Pass> passes =
        source.passes().stream().filter(p -> wanted.passes().contains(p.id())).toList();
    made = made.withRegions(regions(passes, made)).withGroups(groups(passes, made));
    made = made.withPasses(kept(passes, made));
    for (Pass pass : passes) {
      made = put(pass, made);
    }
    return new Carried(made, List.copyOf(lost), List.copyOf(look));
  }

  /** A ground of all ambient frames is made of all ambient frames there. */
  private Ground ground(Ground ground) {
    if (ground instanceof Ground.Several several) {
      List<String> frames =
          Set.copyOf(several.frames()).equals(Set.copyOf(from.ambient()))
              ? to.ambient()
              : several.frames().stream().flatMap(f -> matched.of(f).stream()).distinct().toList();
      if (frames.size() < 2) {
        lost.add("the ground stays: there are too few frames for it");
        return to.recipe().ground();
      }
      String towards = matched.of(several.towards()).orElse(to.anchor());
      return several.with(frames, List.of(), towards);
    }
    Optional<String> frame = matched.of(ground.named().iterator().next());
    if (frame.isEmpty()) {
      lost.add("the ground stays: there is no such frame");
      return to.recipe().ground();
    }
    return new Ground.OneFrame(frame.get());
  }

  /** Nothing explains it there; its lens stays its own. */
  private Geometry geometry(Geometry g) {
    return g.seenWith(to.recipe().geometry().focal()).unexplained();
  }

  /** The other view's regions, and those that the passes need besides. */
  private List<Region> regions(List<Pass> passes, Recipe made) {
    Set<String> needed = new LinkedHashSet<>();
    for (Pass pass : passes) {
      need(pass.where().region(), needed);
      from.recipe().group(pass).ifPresent(g -> need(g.where().region(), needed));
    }
    List<Region> all = new ArrayList<>(made.regions());
    for (Region region : from.recipe().regions()) {
      if (needed.contains(region.id()) && made.region(region.id()).isEmpty()) {
        all.add(region(region));
      }
    }
    return all;
  }

  /** A region with the regions that it uses. */
  private void need(String region, Set<String> needed) {
    from.recipe()
        .territory(region)
        .ifPresent(
            t -> {
              needed.add(region);
              t.others().forEach(r -> needed.add(r.id()));
            });
  }

  private Region region(Region region) {
    if (region.parts().stream().anyMatch(p -> drawn(p.shape()))) {
      look.add(region.name());
    }
    return region.withParts(region.parts().stream().map(p -> part(p, region)).toList());
  }

  /** Whether a shape lies where somebody put it. */
  private static boolean drawn(Shape shape) {
    return !shape.moved(p -> new Point(p.x() + ASIDE, p.y() + ASIDE)).equals(shape);
  }

  private Part part(Part part, Region region) {
    if (part.shape().frames().isEmpty()) {
      return part;
    }
    MatchedFrames.Together frames = matched.together(part.shape().frames());
    Part there = part.withShape(part.shape().foundIn(frames::of));
    return lacks(frames, "a part of " + region.name()) ? there.switchedOff() : there;
  }

  /** Whether frames are lacking; names it. */
  private boolean lacks(MatchedFrames.Together frames, String of) {
    frames.lacking().ifPresent(why -> lost.add(of + " is switched off: " + why));
    return frames.lacking().isPresent();
  }

  private List<Group> groups(List<Pass> passes, Recipe made) {
    List<Group> all = new ArrayList<>(made.groups());
    for (Group group : from.recipe().groups()) {
      boolean needed = passes.stream().anyMatch(p -> p.group().equals(group.id()));
      if (needed && made.groups().stream().noneMatch(g -> g.id().equals(group.id()))) {
        all.add(group);
      }
    }
    return all;
  }

  /** The other view's passes without what was proposed of the kinds that come. */
  private static List<Pass> kept(List<Pass> passes, Recipe made) {
    return made.passes().stream()
        .filter(
            own ->
                own.why().isEmpty()
                    || passes.stream().anyMatch(p -> alike(p, own))
                    || passes.stream().noneMatch(p -> kind(p).equals(kind(own))))
        .toList();
  }

  private static PassKind kind(Pass pass) {
    return PassKind.of(pass.move());
  }

  private static boolean alike(Pass a, Pass b) {
    return a.id().equals(b.id()) && kind(a).equals(kind(b));
  }

  private Recipe put(Pass pass, Recipe made) {
    Pass there = pass(pass);
    if (made.passes().stream().anyMatch(own -> alike(own, pass))) {
      return made.withPasses(
          made.passes().stream().map(own -> alike(own, pass) ? there : own).toList());
    }
    return made.with(there.called(made.freePass(pass.id())));
  }

  private Pass pass(Pass pass) {
    PassKind kind = kind(pass);
    if (kind.framesOf(pass.move()).isEmpty()) {
      return pass.unexplained();
    }
    MatchedFrames.Together frames = matched.together(kind.framesOf(pass.move()));
    Pass there = pass.unexplained().withMove(kind.lit(pass.move(), frames::of));
    return lacks(frames, kind.name().toLowerCase(Locale.ROOT)) ? there.switched(false) : there;
  }
}
