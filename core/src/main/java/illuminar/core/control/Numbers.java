package illuminar.core.control;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The numbers of a record that carry a {@link Control}. */
public final class Numbers {

  /**
   * One number: its name in the record, and how it is offered.
   *
   * @param neutral the value at which it changes nothing
   */
  public record NumberControl(
      String name,
      String label,
      String unit,
      double from,
      double to,
      double step,
      double defaultValue,
      double neutral,
      String under,
      double apart,
      String help) {}

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

  /** Differences of decimal numbers are not exact. */
  private static final double ROUNDING = 1e-9;

  private Numbers() {}

  /** All of a record's, in its order. */
  public static List<NumberControl> of(Class<?> type) {
    List<NumberControl> numbers = new ArrayList<>();
    for (RecordComponent c : type.getRecordComponents()) {
      Control k = CONTROLS.get(type).get(c.getName());
      if (k != null) {
        numbers.add(
            new NumberControl(
                c.getName(),
                k.label(),
                k.unit(),
                k.from(),
                k.to(),
                k.step(),
                k.defaultValue(),
                Double.isNaN(k.neutral()) ? k.defaultValue() : k.neutral(),
                k.under(),
                k.apart(),
                k.help()));
      }
    }
    return List.copyOf(numbers);
  }

  /** The value of a number of a record, by its name. */
  public static double value(Record of, String name) {
    try {
      return ((Number) of.getClass().getMethod(name).invoke(of)).doubleValue();
    } catch (ReflectiveOperationException e) {
      throw new IllegalArgumentException("no number " + name + " in " + of, e);
    }
  }

  /** The value that lies nearest within a control's range. */
  public static double held(Class<?> type, String name, double value) {
    Control k = CONTROLS.get(type).get(name);
    return Math.max(k.from(), Math.min(k.to(), value));
  }

  /** Refuses a value outside a control's range, naming the control. */
  public static void check(Class<?> type, String name, double value) {
    Control k = CONTROLS.get(type).get(name);
    if (!(value >= k.from() && value <= k.to())) {
      throw new IllegalArgumentException(
          (k.label() + " goes from " + plain(k.from()) + " to " + plain(k.to()) + " " + k.unit())
                  .strip()
              + ", not "
              + plain(value));
    }
  }

  /** Refuses values of which one must stay below the other and does not, naming both. */
  public static void checkUnder(Class<?> type, String name, double value, double above) {
    Control k = CONTROLS.get(type).get(name);
    if (!(above - value >= k.apart() - ROUNDING)) {
      boolean percent = k.unit().equals("%");
      throw new IllegalArgumentException(
          (k.label()
                      + " stays at least "
                      + plain(percent ? Math.round(100 * k.apart()) : k.apart())
                      + " "
                      + k.unit())
                  .strip()
              + " below "
              + CONTROLS.get(type).get(k.under()).label().toLowerCase(Locale.ROOT));
    }
  }

  private static String plain(double v) {
    String text = v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
    return text.replace('-', '−');
  }
}
