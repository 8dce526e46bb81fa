package illuminar.core.house;

import illuminar.core.control.Numbers;
import illuminar.core.control.Numbers.NumberControl;
import illuminar.core.control.Records;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.recipe.Phrases;
import illuminar.core.recipe.Recipe;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How a studio's finished pictures differ from the product's first versions: numbers of proposed
 * passes that are always moved, kinds of passes that are always thrown out, passes that are always
 * added. First versions are measured anew in each view; the style is what comes on top.
 *
 * @param shifts at most one for each number of a kind
 * @param without ids of kinds that are left out of first versions
 * @param added in the order of work; of kinds that take no frame
 */
public record HouseStyle(List<Shift> shifts, List<String> without, List<Pass> added) {
  /** First versions stay as they are proposed. */
  public static final HouseStyle NONE = new HouseStyle(List.of(), List.of(), List.of());

  /** The name of a pass's strength among its numbers. */
  public static final String STRENGTH = "strength";

  private static final int MOST = 60;

  private static final String WHY = "House style.";

  /**
   * How far a number of a proposed pass is moved.
   *
   * @param kind id of the kind of pass
   * @param control name of the number, or {@link #STRENGTH}
   * @param by in the unit of the number
   */
  public record Shift(String kind, String control, double by) {
    public Shift {
      if (!control.equals(STRENGTH) && find(known(kind), control).isEmpty()) {
        throw new IllegalArgumentException(known(kind).name() + " has no number " + control);
      }
      if (!Double.isFinite(by)) {
        throw new IllegalArgumentException("a number is moved by a number");
      }
    }

    /** The shift in words: "exposure 0.2 stops higher". */
    public String said() {
      NumberControl number = number();
      return number.label().toLowerCase(Locale.ROOT)
          + " "
          + Phrases.amount(Math.abs(by), number.unit())
          + (by < 0 ? " lower" : " higher");
    }

    /** How the number is offered. */
    public NumberControl number() {
      return find(known(kind), control)
          .orElse(new NumberControl(STRENGTH, "Strength", "%", 0, 1, 0.01, 1, 1, "", 0, ""));
    }
  }

  public HouseStyle {
    shifts = List.copyOf(shifts);
    without = List.copyOf(without);
    added = List.copyOf(added);
    if (shifts.size() > MOST || without.size() > MOST || added.size() > MOST) {
      throw new IllegalArgumentException("a house style has at most " + MOST + " of each");
    }
    Set<String> moved = new HashSet<>();
    for (Shift shift : shifts) {
      if (!moved.add(shift.kind() + " " + shift.control())) {
        throw new IllegalArgumentException(
            "a house style moves " + shift.number().label().toLowerCase(Locale.ROOT) + " twice");
      }
    }
    without.forEach(HouseStyle::known);
    for (Pass pass : added) {
      if (!PassKind.of(pass.move()).frames().isEmpty()) {
        throw new IllegalArgumentException(
            PassKind.of(pass.move()).name() + " takes a frame, which other views do not have");
      }
    }
  }

  private static PassKind known(String id) {
    return Catalogue.kinds().stream()
        .filter(k -> k.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("this version knows no pass " + id));
  }

  private static Optional<NumberControl> find(PassKind kind, String control) {
    return kind.controls().stream().filter(n -> n.name().equals(control)).findFirst();
  }

  /** Whether first versions stay as they are. */
  public boolean nothing() {
    return shifts.isEmpty() && without.isEmpty() && added.isEmpty();
  }

  /**
   * A first version in this style. A number that would leave its range stops at its end; one that
   * the pass refuses beside its others stays; a pass in a region that the view does not have is not
   * added.
   */
  public Recipe of(Recipe first) {
    List<Pass> passes = new ArrayList<>();
    for (Pass pass : first.passes()) {
      String kind = PassKind.of(pass.move()).id();
      if (pass.why().isEmpty()) {
        passes.add(pass);
      } else if (!without.contains(kind)) {
        passes.add(shifted(pass, kind));
      }
    }
    Recipe styled = first.withPasses(passes);
    for (Pass pass : added) {
      if (first.has(pass.where())) {
        Pass own = pass.called(styled.freePass(pass.id())).explained(WHY).withGroup("");
        styled = styled.with(own);
      }
    }
    return styled;
  }

  private Pass shifted(Pass pass, String kind) {
    Pass made = pass;
    List<String> said = new ArrayList<>();
    for (Shift shift : shifts) {
      if (shift.kind().equals(kind)) {
        Pass next = shift.control().equals(STRENGTH) ? stronger(made, shift) : moved(made, shift);
        if (!next.equals(made)) {
          said.add(shift.said());
        }
        made = next;
      }
    }
    if (said.isEmpty()) {
      return pass;
    }
    String why = pass.why() + " House style: " + String.join(", ", said) + ".";
    return made.explained(why);
  }

  private static Pass stronger(Pass pass, Shift shift) {
    return pass.withStrength(Math.max(0, Math.min(1, pass.strength() + shift.by())));
  }

  private static Pass moved(Pass pass, Shift shift) {
    double now = PassKind.of(pass.move()).number(pass.move(), shift.control());
    double to = Numbers.held(pass.move().getClass(), shift.control(), now + shift.by());
    try {
      return pass.withMove(Records.with(pass.move(), Map.of(shift.control(), to)));
    } catch (IllegalArgumentException refused) {
      return pass;
    }
  }
}
