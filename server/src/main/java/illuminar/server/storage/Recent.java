package illuminar.server.storage;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/** Maps in memory that forget what was not asked for longest. */
public final class Recent {
  private Recent() {}

  /** A map for any number of threads that holds so many entries at most. */
  public static <K, V> Map<K, V> of(int most) {
    return Collections.synchronizedMap(
        new LinkedHashMap<>(64, 0.75f, true) {
          private static final long serialVersionUID = 1;

          @Override
          protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
            return size() > most;
          }
        });
  }
}
