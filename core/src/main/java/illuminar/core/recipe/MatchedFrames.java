package illuminar.core.recipe;

import illuminar.core.frame.Role;
import illuminar.core.recipe.CarryOver.Rung;
import illuminar.core.recipe.CarryOver.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The frames of one view matched with those of another: the same role, and the nearest exposure
 * relative to the anchor. A flash or lamps-off frame is matched only with one that has an ambient
 * frame at the same settings, if it had one, since a light is the difference of the two.
 */
final class MatchedFrames {
  /** Stops by which frames at the same settings differ at most. */
  private static final double ALIKE = 0.1;

  private final Side from;
  private final Side to;

  MatchedFrames(Side from, Side to) {
    this.from = from;
    this.to = to;
  }

  /**
   * The matches of frames that one pass or part uses together.
   *
   * @param found the match of each frame that has one
   * @param otherwise the anchor, for frames without a match
   * @param lacking why not every frame has a match, or not a separate one, in words
   */
  record Together(Map<String, String> found, String otherwise, Optional<String> lacking) {
    String of(String frame) {
      return found.getOrDefault(frame, otherwise);
    }
  }

  /** The match of a frame that is used alone. */
  Optional<String> of(String frame) {
    if (frame.equals(from.anchor())) {
      return Optional.of(to.anchor());
    }
    return from.rung(frame)
        .flatMap(
            r ->
                like(r)
                    .filter(o -> paired(o, to) || !paired(r, from))
                    .min(Comparator.comparingDouble(o -> Math.abs(o.stops() - r.stops()))))
        .map(Rung::id);
  }

  /** Matches frames that are used together: two at the same settings stay at the same settings. */
  Together together(List<String> frames) {
    List<Rung> rungs = frames.stream().flatMap(f -> from.rung(f).stream()).toList();
    Optional<Rung> lead = rungs.stream().filter(r -> r.role() != Role.AMBIENT).findFirst();
    Map<String, String> found = new LinkedHashMap<>();
    List<Rung> missing = new ArrayList<>();
    for (String frame : frames) {
      Optional<Rung> own = from.rung(frame);
      Optional<Rung> beside = lead.filter(l -> own.isPresent() && ambientBeside(own.get(), l));
      Optional<String> match =
          beside.isPresent() ? of(beside.get().id()).flatMap(this::ambientAt) : of(frame);
      match.ifPresentOrElse(m -> found.put(frame, m), () -> own.ifPresent(missing::add));
    }
    boolean separate = new HashSet<>(found.values()).size() == new HashSet<>(frames).size();
    return new Together(
        found, to.anchor(), separate ? Optional.empty() : Optional.of(lacking(missing)));
  }

  private static boolean ambientBeside(Rung ambient, Rung of) {
    return ambient.role() == Role.AMBIENT && Math.abs(ambient.stops() - of.stops()) <= ALIKE;
  }

  /** The other view's ambient frame at the settings of one of its frames. */
  private Optional<String> ambientAt(String frame) {
    return to.rung(frame)
        .flatMap(l -> to.rungs().stream().filter(o -> ambientBeside(o, l)).findFirst())
        .map(Rung::id);
  }

  /** Whether an ambient frame was taken at a frame's settings, or it is one itself. */
  private static boolean paired(Rung rung, Side side) {
    return side.rungs().stream().anyMatch(o -> ambientBeside(o, rung));
  }

  /** Frames of the other view with the same role. */
  private Stream<Rung> like(Rung rung) {
    return to.rungs().stream().filter(o -> o.role() == rung.role());
  }

  private String lacking(List<Rung> missing) {
    return missing.stream()
        // the ambient frame beside it is not the one that is lacking
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
}
