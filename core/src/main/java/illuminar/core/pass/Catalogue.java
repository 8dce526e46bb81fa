package illuminar.core.pass;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * All kinds of moves with their controls, in the order of work. The interface draws what it offers
 * from this list.
 */
public final class Catalogue {

  /**
   * One kind of move.
   *
   * @param kind its name in recipes
   * @param stage the stage of the recipe that it belongs to
   * @param sentence how it reads; words in braces are controls, and {frame}, {region}, {gate},
   *     {strength}
   * @param asksRegion whether it wants a region first because it is usually wrong everywhere
   */
  public record Kind(
      String kind,
      String name,
      String stage,
      String sentence,
      boolean asksRegion,
      Class<? extends Move> type,
      List<Number> controls) {}

  /** One number of a kind of move. */
  public record Number(
      String name,
      String label,
      String unit,
      double from,
      double to,
      double step,
      double careful,
      String help) {}

  private static final List<Kind> KINDS =
      List.of(
          kind(
              "bring-frame",
              "Bring in a frame",
              "Windows",
              "Bring {frame} into {region} on {gate}, {over} over the room, at {strength}.",
              true,
              BringFrame.class),
          kind(
              "tone",
              "Tone",
              "Tone",
              "Exposure {exposure}, contrast {contrast}, highlights {highlights}, shadows {shadows}"
                  + " on {region}, {gate}, at {strength}.",
              false,
              Tone.class));

  private Catalogue() {}

  public static List<Kind> kinds() {
    return KINDS;
  }

  public static Kind of(Move move) {
    return KINDS.stream().filter(k -> k.type() == move.getClass()).findFirst().orElseThrow();
  }

  private static Kind kind(
      String kind,
      String name,
      String stage,
      String sentence,
      boolean asks,
      Class<? extends Move> type) {
    List<Number> controls = new ArrayList<>();
    for (RecordComponent c : type.getRecordComponents()) {
      Control k = c.getAnnotation(Control.class);
      if (k != null) {
        controls.add(
            new Number(
                c.getName(),
                k.label(),
                k.unit(),
                k.from(),
                k.to(),
                k.step(),
                k.careful(),
                k.help()));
      }
    }
    return new Kind(kind, name, stage, sentence, asks, type, List.copyOf(controls));
  }

  private static final ClassValue<Map<String, Control>> CONTROLS =
      new ClassValue<>() {
        @Override
        protected Map<String, Control> computeValue(Class<?> type) {
          Map<String, Control> controls = new HashMap<>();
          for (RecordComponent c : type.getRecordComponents()) {
            Control k = c.getAnnotation(Control.class);
            if (k != null) {
              controls.put(c.getName(), k);
            }
          }
          return controls;
        }
      };

  /** Refuses a value outside a control's range, naming the control. */
  static void check(Class<? extends Move> type, String name, double value) {
    Control k = CONTROLS.get(type).get(name);
    if (!(value >= k.from() && value <= k.to())) {
      throw new IllegalArgumentException(
          k.label()
              + " goes from "
              + k.from()
              + " to "
              + k.to()
              + " "
              + k.unit()
              + ", not "
              + value);
    }
  }
}
