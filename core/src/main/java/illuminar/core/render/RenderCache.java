package illuminar.core.render;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Keeps intermediates under the part of the recipe that they depend on; the least recently used go
 * first when the byte limit is reached. Safe for many threads.
 */
public final class RenderCache {
  private final long limit;
  private final Map<Object, Entry> entries = new LinkedHashMap<>(64, 0.75f, true);
  private long bytes;

  private record Entry(Object value, long bytes) {}

  public RenderCache(long limitBytes) {
    limit = limitBytes;
  }

  /**
   * What is kept under a key, or the made and kept. {@code type} is what makes of this kind give.
   */
  public <T> T get(Object key, Class<T> type, long size, Supplier<T> make) {
    synchronized (entries) {
      Entry e = entries.get(key);
      if (e != null) {
        return type.cast(e.value);
      }
    }
    T made = make.get();
    put(key, made, size);
    return made;
  }

  public boolean has(Object key) {
    synchronized (entries) {
      return entries.containsKey(key);
    }
  }

  public void put(Object key, Object value, long size) {
    synchronized (entries) {
      Entry old = entries.put(key, new Entry(value, size));
      bytes += size - (old == null ? 0 : old.bytes);
      forget(limit, 1);
    }
  }

  /** Forgets what was not used for longest until no more than so many bytes are held. */
  public void shrink(long to) {
    synchronized (entries) {
      forget(to, 0);
    }
  }

  private void forget(long to, int stay) {
    var eldest = entries.values().iterator();
    while (bytes > to && entries.size() > stay) {
      bytes -= eldest.next().bytes;
      eldest.remove();
    }
  }

  public long bytes() {
    synchronized (entries) {
      return bytes;
    }
  }
}
