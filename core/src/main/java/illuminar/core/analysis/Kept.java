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
  private final Map<Class<?>, Map<Object, Once<Weighed>>> results = new HashMap<>();

  /** A result and the bytes that it takes. */
  private record Weighed(Object result, long bytes) {
    static Weighed of(Object result) {
      return new Weighed(result, Weight.of(result));
    }
  }

  <T> T get(Class<T> type, Object question, int most, Supplier<T> find) {
    Once<Weighed> once;
    synchronized (results) {
      Map<Object, Once<Weighed>> alike =
          results.computeIfAbsent(type, t -> new LinkedHashMap<>(8, 0.75f, true));
      once = alike.computeIfAbsent(question, q -> new Once<>(() -> Weighed.of(find.get())));
      while (alike.size() > most) {
        alike.remove(alike.keySet().iterator().next());
      }
    }
    try {
      return type.cast(once.get().result);
    } catch (RuntimeException | Error e) {
      forget(type, question, once);
      throw e;
    }
  }

  /** Bytes of all results that are kept. */
  long bytes() {
    synchronized (results) {
      return results.values().stream()
          .flatMap(alike -> alike.values().stream())
          .flatMap(once -> once.there().stream())
          .mapToLong(Weighed::bytes)
          .sum();
    }
  }

  /** Forgets all results; they are found again when they are asked for. */
  void clear() {
    synchronized (results) {
      results.values().forEach(Map::clear);
    }
  }

  private void forget(Class<?> type, Object question, Once<Weighed> failed) {
    synchronized (results) {
      results.get(type).remove(question, failed);
    }
  }
}
