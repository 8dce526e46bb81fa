package illuminar.core.recipe;

import illuminar.core.control.Numbers;
import illuminar.core.geometry.Crop;
import illuminar.core.geometry.Geometry;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Group;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.region.Region;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;

/** Says in plain words what a pass does and what changed between two recipes. */
public final class Sentence {
  private Sentence() {}

  /** A pass as a sentence; {@code frameName} gives a frame's name for its id. */
  public static String of(Pass pass, Recipe recipe, UnaryOperator<String> frameName) {
    Phrases phrases = new Phrases(pass.move(), name -> named(name, pass, recipe, frameName));
    List<String> said = new ArrayList<>(phrases.all());
    String order = said.remove(0);
    if (phrases.nothing()) {
      return order + ": " + Phrases.NOTHING + ".";
    }
    if (!pass.gate().all()) {
      said.add(tones(pass.gate()));
    }
    if (pass.strength() != 1) {
      said.add("at " + Phrases.amount(pass.strength(), "%"));
    }
    String more = String.join(", ", said);
    return order + (more.isEmpty() ? "" : (phrases.bare() ? ": " : ", ") + more) + ".";
  }

  /** A region, a frame or a choice in words. */
  private static String named(
      String name, Pass pass, Recipe recipe, UnaryOperator<String> frameName) {
    if (name.equals("region")) {
      return where(pass, recipe);
    }
    String value = component(pass, name).toString();
    if (PassKind.of(pass.move()).frames().contains(name)) {
      return value.isEmpty() ? "nothing" : frameName.apply(value);
    }
    return value.toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static double value(Pass pass, String control) {
    return PassKind.of(pass.move()).number(pass.move(), control);
  }

  private static Object component(Pass pass, String name) {
    return PassKind.of(pass.move()).component(pass.move(), name);
  }

  private static String where(Pass pass, Recipe recipe) {
    if (pass.where().everywhere()) {
      return "the whole picture";
    }
    String name = recipe.region(pass.where().region()).map(Region::name).orElse("?");
    return pass.where().outside() ? "all but " + name : name;
  }

  private static String tones(Gate gate) {
    String to = stops(gate.fullTo(), "st");
    if (gate.fromBlack()) {
      return "only in tones up to " + to;
    }
    if (gate.toWhite()) {
      return "only in tones from " + stops(gate.full(), "st") + " up";
    }
    return "only in tones from " + stops(gate.full(), "") + " to " + to;
  }

  /** To a tenth: nobody sees more. */
  private static String stops(double v, String unit) {
    return Phrases.amount(Math.round(10 * v) / 10.0, unit);
  }

  private static String amount(double v, String unit) {
    if (unit.equals("%")) {
      return Math.round(100 * v) + " %";
    }
    String number =
        unit.equals("st")
            ? String.format(Locale.ROOT, "%+.2f", v)
            : v == Math.rint(v)
                ? String.format(Locale.ROOT, "%+d", (long) v)
                : String.format(Locale.ROOT, "%.1f", v);
    return unit.isEmpty() ? number : number + " " + unit;
  }

  /** One line on what a step did, for the history. */
  public static String change(Recipe before, Recipe after) {
    List<String> said = new ArrayList<>();
    if (!before.ground().equals(after.ground())) {
      said.add("ground changed");
    }
    named("region", before.regions(), after.regions(), Region::id, Region::name, said);
    named("group", before.groups(), after.groups(), Group::id, Group::name, said);
    passes(before.passes(), after.passes(), said);
    if (!before.geometry().equals(after.geometry())) {
      said.add(change(before.geometry(), after.geometry()));
    }
    if (said.isEmpty()) {
      return before.equals(after) ? "nothing changed" : "order changed";
    }
    return said.size() > 2
        ? said.get(0) + " and " + (said.size() - 1) + " more"
        : String.join(", ", said);
  }

  private static String change(Geometry before, Geometry after) {
    String crop = after.crop().equals(Crop.NONE) ? "crop taken back" : "crop changed";
    return changed(
            Numbers.of(Geometry.class), n -> Numbers.value(before, n), n -> Numbers.value(after, n))
        .orElse(crop);
  }

  /** The first number that changed, with its value now. */
  private static Optional<String> changed(
      List<Numbers.NumberControl> numbers,
      ToDoubleFunction<String> before,
      ToDoubleFunction<String> after) {
    return numbers.stream()
        .filter(n -> before.applyAsDouble(n.name()) != after.applyAsDouble(n.name()))
        .findFirst()
        .map(
            n ->
                n.label().toLowerCase(Locale.ROOT)
                    + " "
                    + amount(after.applyAsDouble(n.name()), n.unit()));
  }

  private static <T> void named(
      String what,
      List<T> before,
      List<T> after,
      Function<T, String> id,
      Function<T, String> name,
      List<String> said) {
    Map<String, T> old = byId(before, id);
    for (T now : after) {
      T was = old.remove(id.apply(now));
      if (!now.equals(was)) {
        said.add(what + " " + name.apply(now) + (was == null ? " added" : " changed"));
      }
    }
    old.values().forEach(gone -> said.add(what + " " + name.apply(gone) + " removed"));
  }

  private static void passes(List<Pass> before, List<Pass> after, List<String> said) {
    Map<String, Pass> old = byId(before, Pass::id);
    for (Pass now : after) {
      Pass was = old.remove(now.id());
      if (was == null) {
        said.add(name(now) + " added");
      } else if (!now.equals(was)) {
        said.add(change(was, now));
      }
    }
    old.values().forEach(gone -> said.add(name(gone) + " removed"));
  }

  private static <T> Map<String, T> byId(List<T> all, Function<T, String> id) {
    Map<String, T> found = new LinkedHashMap<>();
    all.forEach(t -> found.put(id.apply(t), t));
    return found;
  }

  private static String name(Pass pass) {
    return PassKind.of(pass.move()).name().toLowerCase(Locale.ROOT);
  }

  private static String change(Pass before, Pass after) {
    PassKind kind = PassKind.of(after.move());
    String name = name(after);
    if (before.on() != after.on()) {
      return name + (after.on() ? " switched on" : " switched off");
    }
    if (before.strength() != after.strength()) {
      return name + " at " + Math.round(after.strength() * 100) + " %";
    }
    if (before.move().getClass() == after.move().getClass()) {
      Optional<String> number =
          changed(kind.controls(), n -> value(before, n), n -> value(after, n));
      if (number.isPresent()) {
        return name + ": " + number.get();
      }
    }
    return Objects.equals(before.where(), after.where())
        ? name + " changed"
        : name + " in another place";
  }
}
