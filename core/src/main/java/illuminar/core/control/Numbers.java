package illuminar.core.control;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The numbers of a record that carry a {@link Control}. */
public final class Numbers {

  /** One number: its name in the record, and how it is offered. */
  public record Number(
      String name,
      String label,
      String unit,
      double from,
      double to,
      double step,
      double careful,
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

  private Numbers() {}

  /** All of a record's, in its order. */
  public static List<Number> of(Class<?> type) {
    List<Number> numbers = new ArrayList<>();
    for (RecordComponent c : type.getRecordComponents()) {
      Control k = CONTROLS.get(type).get(c.getName());
      if (k != null) {
        numbers.add(
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
    return List.copyOf(numbers);
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

  private static String plain(double v) {
    String text = v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
    return text.replace('-', '−');
  }
}
