package illuminar.core.house;

import illuminar.core.control.Numbers.NumberControl;
import illuminar.core.control.Records;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.recipe.Recipe;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * A house style learned from finished views: what was done to most of them. A number counts as
 * moved if it was moved in more than half of the views that have the pass, and by the median of
 * all; a kind of pass counts as thrown out or added in the same way.
 */
public final class Learned {
  /** Numbers are compared to this share of their step. */
  private static final double SAME = 1e-6;

  /** A view: the product's first version, and how it was finished. */
  public record Finished(Recipe first, Recipe last) {}

  private final List<Finished> views;

  private Learned(List<Finished> views) {
    this.views = views;
  }

  /** What was done to most of these views. */
  public static HouseStyle from(List<Finished> views) {
    Learned learned = new Learned(List.copyOf(views));
    List<HouseStyle.Shift> shifts = new ArrayList<>();
    List<String> without = new ArrayList<>();
    for (PassKind kind : Catalogue.kinds()) {
      if (learned.thrownOut(kind)) {
        without.add(kind.id());
      } else {
        shifts.addAll(learned.shifts(kind));
      }
    }
    return new HouseStyle(shifts, without, learned.added());
  }

  /** A proposed pass and what became of it. */
  private record Kept(Pass proposed, Pass now) {}

  private static boolean of(PassKind kind, Pass pass) {
    return PassKind.of(pass.move()).id().equals(kind.id());
  }

  private static List<Pass> proposed(Finished view, PassKind kind) {
    return view.first().passes().stream().filter(p -> !p.why().isEmpty() && of(kind, p)).toList();
  }

  private static List<Kept> kept(Finished view, PassKind kind) {
    List<Kept> kept = new ArrayList<>();
    for (Pass pass : proposed(view, kind)) {
      view.last().passes().stream()
          .filter(p -> p.on() && p.id().equals(pass.id()) && of(kind, p))
          .findFirst()
          .ifPresent(now -> kept.add(new Kept(pass, now)));
    }
    return kept;
  }

  private boolean thrownOut(PassKind kind) {
    List<Finished> had = views.stream().filter(v -> !proposed(v, kind).isEmpty()).toList();
    // one that stands in another's place does the same: nothing is thrown out there
    long out =
        had.stream()
            .filter(v -> v.last().passes().stream().noneMatch(p -> p.on() && of(kind, p)))
            .count();
    return 2 * out > had.size();
  }

  private List<HouseStyle.Shift> shifts(PassKind kind) {
    List<Kept> kept = views.stream().flatMap(v -> kept(v, kind).stream()).toList();
    List<HouseStyle.Shift> shifts = new ArrayList<>();
    for (NumberControl number : kind.controls()) {
      shift(kind, number.name(), number.step(), kept, p -> kind.number(p.move(), number.name()))
          .forEach(shifts::add);
    }
    shift(kind, HouseStyle.STRENGTH, 0.01, kept, Pass::strength).forEach(shifts::add);
    return shifts;
  }

  private static List<HouseStyle.Shift> shift(
      PassKind kind, String name, double step, List<Kept> kept, ToDoubleFunction<Pass> value) {
    double[] by =
        kept.stream()
            .mapToDouble(k -> value.applyAsDouble(k.now()) - value.applyAsDouble(k.proposed()))
            .toArray();
    long moved = Arrays.stream(by).filter(d -> Math.abs(d) > SAME * step).count();
    double median = rounded(median(by), step);
    return 2 * moved > by.length && median != 0
        ? List.of(new HouseStyle.Shift(kind.id(), name, median))
        : List.of();
  }

  private static double median(double[] values) {
    if (values.length == 0) {
      return 0;
    }
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    int half = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
  }

  /** To a whole number of steps, without the tail of binary fractions. */
  private static double rounded(double value, double step) {
    return Math.rint(Math.rint(value / step) * step * 1e6) / 1e6;
  }

  /** Passes of one kind in one place, one from each view that has it. */
  private List<Pass> added() {
    Map<String, List<Pass>> alike = new LinkedHashMap<>();
    for (PassKind kind : Catalogue.kinds()) {
      for (Finished view : views) {
        Map<String, Integer> seen = new HashMap<>();
        for (Pass pass : view.last().passes()) {
          if (of(kind, pass) && byHand(pass, view)) {
            String place = kind.id() + pass.where();
            // the second of a kind in a view is another pass
            int nth = seen.merge(place, 1, Integer::sum);
            alike.computeIfAbsent(place + nth, k -> new ArrayList<>()).add(pass);
          }
        }
      }
    }
    return alike.values().stream()
        .filter(same -> 2 * same.size() > havingPlace(same.get(0)))
        .map(Learned::middle)
        .toList();
  }

  /** Added by hand, where a first version of any view could have it. */
  private static boolean byHand(Pass pass, Finished view) {
    return pass.active()
        && PassKind.of(pass.move()).frames().isEmpty()
        && view.first().passes().stream().noneMatch(p -> p.id().equals(pass.id()))
        && view.first().has(pass.where());
  }

  private long havingPlace(Pass pass) {
    return views.stream().filter(v -> v.first().has(pass.where())).count();
  }

  /** The first of them with the medians of all numbers. */
  private static Pass middle(List<Pass> same) {
    Pass first = same.get(0);
    PassKind kind = PassKind.of(first.move());
    Map<String, Double> numbers = new LinkedHashMap<>();
    for (NumberControl number : kind.controls()) {
      double[] all = same.stream().mapToDouble(p -> kind.number(p.move(), number.name())).toArray();
      numbers.put(number.name(), rounded(median(all), number.step()));
    }
    double strength = median(same.stream().mapToDouble(Pass::strength).toArray());
    String id = "house-" + kind.id();
    return new Pass(
        id, true, Records.with(first.move(), numbers), first.where(), first.gate(), strength, "");
  }
}
