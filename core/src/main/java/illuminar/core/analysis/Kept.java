package illuminar.core.analysis;

import illuminar.core.picture.Once;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Results by type and question, each computed once however many threads ask. One may ask for
 * another while it is computed.
 */
final class Kept {
  private final Map<Class<?>, Map<Object, Once<?>>> results = new HashMap<>();

  <T> T get(Class<T> type, Object question, int most, Supplier<T> find) {
    Once<?> once;
    synchronized (results) {
      Map<Object, Once<?>> alike =
          results.computeIfAbsent(type, t -> new LinkedHashMap<>(8, 0.75f, true));
      once = alike.computeIfAbsent(question, q -> new Once<>(find));
      while (alike.size() > most) {
        alike.remove(alike.keySet().iterator().next());
      }
    }
    try {
      return type.cast(once.get());
    } catch (RuntimeException | Error e) {
      forget(type, question, once);
      throw e;
    }
  }

  private void forget(Class<?> type, Object question, Once<?> failed) {
    synchronized (results) {
      results.get(type).remove(question, failed);
    }
  }
}
