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
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What was decided for one view applied to another one. Frames are matched by their role and by how
 * much brighter or darker than the anchor they were exposed. Regions that are found in the picture
 * are found anew; drawn ones come along by place, to be looked at. What the other view has no frame
 * for comes switched off, and is named.
 *
 * <p>A pass that was carried over before, or that the product made for both views, takes the place
 * of its like; what the product proposed of the same kinds otherwise gives way. A region that is
 * there already stays as it is.
 */
public final class CarryOver {
  /** Away from where anything lies, to see whether a shape has places at all. */
  private static final double ASIDE = 0.0625;

  /** Stops by which frames of the same settings differ at most. */
  private static final double ALIKE = 0.1;

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
  private final List<String> lost = new ArrayList<>();
  private final List<String> look = new ArrayList<>();

  private CarryOver(Side from, Side to) {
    this.from = from;
    this.to = to;
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

  /** The frame of the other view that was taken for the same, and nearest in exposure. */
  private Optional<String> match(String frame) {
    if (frame.equals(from.anchor())) {
      return Optional.of(to.anchor());
    }
    return rung(frame)
        .flatMap(
            r ->
                like(r)
                    .filter(o -> paired(o, to) || !paired(r, from))
                    .min(Comparator.comparingDouble(o -> Math.abs(o.stops() - r.stops()))))
        .map(Rung::id);
  }

  private Optional<Rung> rung(String frame) {
    return from.rungs().stream().filter(r -> r.id().equals(frame)).findFirst();
  }

  /** Frames of the other view that were taken for the same. */
  private Stream<Rung> like(Rung rung) {
    return to.rungs().stream().filter(o -> o.role() == rung.role());
  }

  /**
   * Whether an ambient frame was taken at a frame's settings, so that their difference is light.
   */
  private static boolean paired(Rung rung, Side side) {
    return rung.role() == Role.AMBIENT
        || side.rungs().stream().anyMatch(o -> o.role() == Role.AMBIENT && alike(o, rung));
  }

  /** Whether each of some frames that are used together has one of its own in the other view. */
  private boolean matched(List<String> frames) {
    Set<String> there = new LinkedHashSet<>();
    frames.forEach(f -> match(f, frames).ifPresent(there::add));
    return there.size() == new LinkedHashSet<>(frames).size();
  }

  /**
   * The same of a frame that is used together with others: one at the settings of a flash or
   * lamps-off frame is at the settings of that frame's match, for their difference is light.
   */
  private Optional<String> match(String frame, List<String> together) {
    Optional<Rung> own = rung(frame).filter(r -> r.role() == Role.AMBIENT);
    Optional<Rung> lead =
        together.stream()
            .flatMap(f -> rung(f).stream())
            .filter(r -> r.role() != Role.AMBIENT)
            .findFirst()
            .filter(l -> own.isPresent() && alike(own.get(), l));
    return lead.isEmpty()
        ? match(frame)
        : match(lead.get().id())
            .flatMap(id -> to.rungs().stream().filter(r -> r.id().equals(id)).findFirst())
            .flatMap(l -> like(own.get()).filter(o -> alike(o, l)).findFirst())
            .map(Rung::id);
  }

  private static boolean alike(Rung a, Rung b) {
    return Math.abs(a.stops() - b.stops()) <= ALIKE;
  }

  private String here(String frame) {
    return match(frame).orElse(to.anchor());
  }

  /** Of all frames of a role, where it was of all of them; else of those that match. */
  private Ground ground(Ground ground) {
    if (ground instanceof Ground.Several several) {
      List<String> ambient = ids(from, Role.AMBIENT);
      List<String> frames =
          Set.copyOf(several.frames()).equals(Set.copyOf(ambient))
              ? ids(to, Role.AMBIENT)
              : several.frames().stream().flatMap(f -> match(f).stream()).distinct().toList();
      if (frames.size() < 2) {
        lost.add("the ground stays: there are too few frames for it");
        return to.recipe().ground();
      }
      return several.with(frames, List.of(), here(several.towards()));
    }
    String frame = ground.named().iterator().next();
    if (match(frame).isEmpty()) {
      lost.add("the ground stays: there is no such frame");
      return to.recipe().ground();
    }
    return new Ground.OneFrame(here(frame));
  }

  private static List<String> ids(Side side, Role role) {
    return side.rungs().stream().filter(r -> r.role() == role).map(Rung::id).toList();
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

  private void need(String region, Set<String> needed) {
    from.recipe()
        .region(region)
        .filter(r -> needed.add(r.id()))
        .ifPresent(
            r -> r.parts().forEach(p -> p.shape().regions().forEach(id -> need(id, needed))));
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
    List<String> frames = part.shape().frames();
    Part there = frames.isEmpty() ? part : part.withShape(part.shape().foundIn(this::here));
    if (matched(frames)) {
      return there;
    }
    lost.add("a part of " + region.name() + " is switched off: " + missing(frames));
    return there.switchedOff();
  }

  /** Why frames have no match, in words. */
  private String missing(List<String> frames) {
    return frames.stream()
        .filter(f -> match(f, frames).isEmpty())
        .flatMap(f -> rung(f).stream())
        // the ambient frame beside it is not what is lacking
        .min(Comparator.comparing(r -> r.role() == Role.AMBIENT))
        .map(
            r ->
                like(r).findAny().isPresent()
                    ? "no ambient frame has the settings of a " + words(r.role())
                    : "there is no " + words(r.role()))
        .orElse("there are too few frames");
  }

  private static String words(Role role) {
    return switch (role) {
      case AMBIENT -> "ambient frame";
      case FLASH -> "flash frame";
      case WINDOW -> "window frame";
      case LAMPS_OFF -> "frame with the lamps off";
    };
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
    boolean taken = made.passes().stream().anyMatch(own -> own.id().equals(pass.id()));
    return made.with(taken ? there.called(free(pass.id(), made)) : there);
  }

  private static String free(String id, Recipe made) {
    int n = 2;
    String other = id + "-" + n;
    while (called(other, made)) {
      n++;
      other = id + "-" + n;
    }
    return other;
  }

  private static boolean called(String id, Recipe made) {
    return made.passes().stream().anyMatch(p -> p.id().equals(id));
  }

  private Pass pass(Pass pass) {
    PassKind kind = kind(pass);
    List<String> frames = kind.framesOf(pass.move());
    Pass there = pass.unexplained();
    if (frames.isEmpty()) {
      return there;
    }
    there = there.withMove(kind.lit(pass.move(), f -> match(f, frames).orElse(to.anchor())));
    if (matched(frames)) {
      return there;
    }
    lost.add(kind.name().toLowerCase(Locale.ROOT) + " is switched off: " + missing(frames));
    return there.switched(false);
  }
}
