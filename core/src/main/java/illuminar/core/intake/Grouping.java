package illuminar.core.intake;

import illuminar.core.frame.Role;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Sorts the frames of a card into views and gives each its role. Rules are common practice, no
 * source: frames of one view follow each other within a minute or so, and a bracket repeats
 * exposures only when a new view begins.
 */
public final class Grouping {
  /** A pause longer than this begins a new view. */
  static final Duration PAUSE = Duration.ofSeconds(75);

  /** Nobody walks to the switch and back in less. */
  private static final Duration LAMPS = Duration.ofSeconds(5);

  /** Focal lengths that differ by more, as a share; cameras round them. */
  private static final double ZOOMED = 0.03;

  private Grouping() {}

  /**
   * A frame as found on the card.
   *
   * @param id names it
   * @param taken camera's clock, where known
   * @param stops exposure in stops, where known
   * @param focal focal length, millimetres, where the lens told it
   * @param middle mean display code of the frame, 0 to 1
   */
  public record Found(
      String id,
      Optional<LocalDateTime> taken,
      OptionalDouble stops,
      boolean flash,
      int width,
      int height,
      OptionalDouble focal,
      double middle) {

    /** Taken with a lens that told nothing. */
    public Found(
        String id,
        Optional<LocalDateTime> taken,
        OptionalDouble stops,
        boolean flash,
        int width,
        int height,
        double middle) {
      this(id, taken, stops, flash, width, height, OptionalDouble.empty(), middle);
    }
  }

  /** A frame with its role in a view. */
  public record Placed(Found frame, Role role) {}

  /** One view: its frames in shooting order and the one that gives geometry. */
  public record View(List<Placed> frames, String anchor) {}

  /** Groups frames into views. Frames without a time come last, each size as a view. */
  public static List<View> views(List<Found> frames) {
    List<Found> order = new ArrayList<>(frames);
    order.sort(
        Comparator.comparing((Found f) -> f.taken().orElse(LocalDateTime.MAX))
            .thenComparing(Found::id));
    List<View> views = new ArrayList<>();
    List<Found> open = new ArrayList<>();
    for (Found f : order) {
      if (!open.isEmpty() && begins(open, f)) {
        views.add(view(open));
        open = new ArrayList<>();
      }
      open.add(f);
    }
    if (!open.isEmpty()) {
      views.add(view(open));
    }
    return views;
  }

  private static boolean begins(List<Found> open, Found next) {
    Found last = open.get(open.size() - 1);
    if (last.width() != next.width() || last.height() != next.height()) {
      return true;
    }
    if (zoomed(open, next)) {
      return true;
    }
    if (last.taken().isEmpty() || next.taken().isEmpty()) {
      return last.taken().isPresent() != next.taken().isPresent();
    }
    Duration gap = Duration.between(last.taken().get(), next.taken().get());
    if (gap.compareTo(PAUSE) > 0) {
      return true;
    }
    return gap.compareTo(Duration.ofSeconds(20)) > 0
        && !next.flash()
        && repeats(open, next)
        && open.size() >= 3;
  }

  /** Whoever turns the zoom sets the camera up anew. */
  private static boolean zoomed(List<Found> open, Found next) {
    return next.focal().isPresent()
        && open.stream()
            .filter(f -> f.focal().isPresent())
            .anyMatch(
                f -> Math.abs(next.focal().getAsDouble() / f.focal().getAsDouble() - 1) > ZOOMED);
  }

  private static boolean repeats(List<Found> open, Found next) {
    if (next.stops().isEmpty()) {
      return false;
    }
    return open.stream()
        .filter(f -> !f.flash() && f.stops().isPresent())
        .anyMatch(f -> Math.abs(f.stops().getAsDouble() - next.stops().getAsDouble()) < 0.2);
  }

  /** Roles and anchor of the frames of one view. */
  public static View view(List<Found> frames) {
    List<Found> ambient = new ArrayList<>();
    Set<Found> lampsOff = new HashSet<>();
    for (Found f : frames) {
      if (!f.flash() && repeatsAfterwards(ambient, f)) {
        lampsOff.add(f);
      } else if (!f.flash()) {
        ambient.add(f);
      }
    }
    Optional<Found> window = window(ambient);
    List<Placed> placed = new ArrayList<>();
    for (Found f : frames) {
      placed.add(new Placed(f, role(f, lampsOff.contains(f), window)));
    }
    return new View(List.copyOf(placed), anchor(placed));
  }

  private static Role role(Found f, boolean lampsOff, Optional<Found> window) {
    if (f.flash()) {
      return Role.FLASH;
    }
    if (lampsOff) {
      return Role.LAMPS_OFF;
    }
    return window.isPresent() && window.get().equals(f) ? Role.WINDOW : Role.AMBIENT;
  }

  /** Whether a frame comes after a finished bracket and takes one of its exposures once more. */
  private static boolean repeatsAfterwards(List<Found> bracket, Found next) {
    if (bracket.size() < 3 || next.taken().isEmpty() || !repeats(bracket, next)) {
      return false;
    }
    Found last = bracket.get(bracket.size() - 1);
    return last.taken().isPresent()
        && Duration.between(last.taken().get(), next.taken().get()).compareTo(LAMPS) >= 0;
  }

  /** A frame that stands apart from the bracket after it and is darker than all but the darkest. */
  private static Optional<Found> window(List<Found> frames) {
    List<Found> ambient = frames.stream().filter(f -> f.stops().isPresent()).toList();
    if (ambient.size() < 4) {
      return Optional.empty();
    }
    Found last = ambient.get(ambient.size() - 1);
    Found before = ambient.get(ambient.size() - 2);
    boolean apart =
        last.taken().isPresent()
            && before.taken().isPresent()
            && Duration.between(before.taken().get(), last.taken().get()).toSeconds() >= 8;
    Set<Long> steps = new HashSet<>();
    for (int i = 1; i < ambient.size() - 1; i++) {
      steps.add(
          Math.round(
              Math.abs(
                      ambient.get(i).stops().getAsDouble()
                          - ambient.get(i - 1).stops().getAsDouble())
                  * 3));
    }
    double darkest =
        ambient.subList(0, ambient.size() - 1).stream()
            .mapToDouble(f -> f.stops().getAsDouble())
            .min()
            .orElse(0);
    boolean dark = last.stops().getAsDouble() <= darkest + 1.01;
    return apart && dark && steps.size() <= 2 ? Optional.of(last) : Optional.empty();
  }

  /** The ambient frame of middle brightness; any frame where none is ambient. */
  private static String anchor(List<Placed> placed) {
    return placed.stream()
        .filter(p -> p.role() == Role.AMBIENT)
        .min(Comparator.comparingDouble(p -> Math.abs(p.frame().middle() - 0.46)))
        .or(() -> placed.stream().findFirst())
        .orElseThrow()
        .frame()
        .id();
  }
}
