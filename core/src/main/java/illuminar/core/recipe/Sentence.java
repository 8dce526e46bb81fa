package illuminar.core.recipe;

import illuminar.core.control.Numbers;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.region.Region;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/** Says in plain words what a pass does and what changed between two recipes. */
public final class Sentence {
  private Sentence() {}

  /** A pass as a sentence; {@code frameName} gives a frame's name for its id. */
  public static String of(Pass pass, Recipe recipe, Function<String, String> frameName) {
    PassKind kind = PassKind.of(pass.move());
    String text = kind.sentence();
    for (Numbers.NumberControl number : kind.controls()) {
      text =
          text.replace(
              "{" + number.name() + "}", amount(value(pass, number.name()), number.unit()));
    }
    for (String frame : kind.frames()) {
      String id = (String) component(pass, frame);
      text = text.replace("{" + frame + "}", id.isEmpty() ? "nothing" : frameName.apply(id));
    }
    for (PassKind.Choice choice : kind.choices()) {
      text =
          text.replace(
              "{" + choice.name() + "}",
              component(pass, choice.name()).toString().toLowerCase(Locale.ROOT).replace('_', ' '));
    }
    return text.replace("{region}", where(pass, recipe))
        .replace("{gate}", tones(pass.gate()))
        .replace("{strength}", Math.round(pass.strength() * 100) + " %");
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
    return pass.where().outside() ? "outside " + name : name;
  }

  private static String tones(Gate gate) {
    return gate.all()
        ? "all tones"
        : String.format(Locale.ROOT, "tones %.1f to %.1f st", gate.full(), gate.fullTo());
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
    for (Region region : after.regions()) {
      Optional<Region> old = before.region(region.id());
      if (old.isEmpty()) {
        said.add("region " + region.name() + " added");
      } else if (!old.get().equals(region)) {
        said.add("region " + region.name() + " changed");
      }
    }
    for (Region region : before.regions()) {
      if (after.region(region.id()).isEmpty()) {
        said.add("region " + region.name() + " removed");
      }
    }
    for (Pass pass : after.passes()) {
      Optional<Pass> old =
          before.passes().stream().filter(p -> p.id().equals(pass.id())).findFirst();
      if (old.isEmpty()) {
        said.add(PassKind.of(pass.move()).name().toLowerCase(Locale.ROOT) + " added");
      } else if (!old.get().equals(pass)) {
        said.add(change(old.get(), pass));
      }
    }
    for (Pass pass : before.passes()) {
      if (after.passes().stream().noneMatch(p -> p.id().equals(pass.id()))) {
        said.add(PassKind.of(pass.move()).name().toLowerCase(Locale.ROOT) + " removed");
      }
    }
    if (said.isEmpty()) {
      return before.equals(after) ? "nothing changed" : "order changed";
    }
    return said.size() > 2
        ? said.get(0) + " and " + (said.size() - 1) + " more"
        : String.join(", ", said);
  }

  private static String change(Pass before, Pass after) {
    PassKind kind = PassKind.of(after.move());
    String name = kind.name().toLowerCase(Locale.ROOT);
    if (before.on() != after.on()) {
      return name + (after.on() ? " switched on" : " switched off");
    }
    if (before.strength() != after.strength()) {
      return name + " at " + Math.round(after.strength() * 100) + " %";
    }
    if (before.move().getClass() == after.move().getClass()) {
      for (Numbers.NumberControl number : kind.controls()) {
        double v = value(after, number.name());
        if (value(before, number.name()) != v) {
          return name
              + ": "
              + number.label().toLowerCase(Locale.ROOT)
              + " "
              + amount(v, number.unit());
        }
      }
    }
    return Objects.equals(before.where(), after.where())
        ? name + " changed"
        : name + " in another place";
  }
}
