package illuminar.core.analysis;

import illuminar.core.picture.Once;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.WeakHashMap;
import java.util.function.Supplier;

/**
 * Results by type and question, each computed once however many threads ask. One may ask for
 * another while it is computed.
 */
final class Kept {
  private final Map<Class<?>, Map<Object, Once<?>>> results = new HashMap<>();

  /** Bytes of each result. */
  private final Map<Once<?>, Long> weights = new WeakHashMap<>();

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
      T result = type.cast(once.get());
      weigh(once, result);
      return result;
    } catch (RuntimeException | Error e) {
      forget(type, question, once);
      throw e;
    }
  }

  private void weigh(Once<?> once, Object result) {
    synchronized (weights) {
      weights.computeIfAbsent(once, o -> Weight.of(result));
    }
  }

  /** Bytes of all results that are kept. */
  long bytes() {
    synchronized (weights) {
      return weights.values().stream().mapToLong(w -> w).sum();
    }
  }

  /** Forgets all results; they are found again when they are asked for. */
  void clear() {
    synchronized (results) {
      results.clear();
    }
    synchronized (weights) {
      weights.clear();
    }
  }

  private void forget(Class<?> type, Object question, Once<?> failed) {
    synchronized (results) {
      results.get(type).remove(question, failed);
    }
  }
}
