package illuminar.core.control;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Map;

/** Records by the names of their components. */
public final class Records {
  private Records() {}

  /**
   * The same record with other components; whole numbers are rounded to.
   *
   * @param values by the names of those that change
   * @throws IllegalArgumentException if the record refuses them
   */
  public static <R> R with(R of, Map<String, ?> values) {
    RecordComponent[] all = of.getClass().getRecordComponents();
    Class<?>[] types = new Class<?>[all.length];
    Object[] made = new Object[all.length];
    try {
      for (int i = 0; i < all.length; i++) {
        types[i] = all[i].getType();
        Object other = values.get(all[i].getName());
        made[i] = other == null ? all[i].getAccessor().invoke(of) : other;
        if (types[i] == int.class && made[i] instanceof Double number) {
          made[i] = (int) Math.rint(number);
        }
      }
      @SuppressWarnings("unchecked") // a record's constructor makes its own type
      R changed = (R) of.getClass().getDeclaredConstructor(types).newInstance(made);
      return changed;
    } catch (InvocationTargetException e) {
      throw e.getCause() instanceof IllegalArgumentException refused
          ? refused
          : new IllegalStateException(e);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
