package illuminar.core.analysis;

import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import java.lang.reflect.Array;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How many bytes a result takes: those of its arrays and of everything in it, each counted once.
 * The frames that it was found in, and the analysis, are not its own.
 */
final class Weight {
  /** Bytes of an object beside its fields' arrays, about. */
  private static final long OBJECT = 32;

  private final Set<Object> seen = Collections.newSetFromMap(new IdentityHashMap<>());
  private final Deque<Object> open = new ArrayDeque<>();

  private Weight() {}

  static long of(Object result) {
    return new Weight().sum(result);
  }

  private long sum(Object result) {
    look(result);
    long sum = 0;
    while (!open.isEmpty()) {
      sum += weigh(open.pop());
    }
    return sum;
  }

  private void look(Object o) {
    if (o != null && !foreign(o) && seen.add(o)) {
      open.push(o);
    }
  }

  private static boolean foreign(Object o) {
    return o instanceof Analysis
        || o instanceof Frames
        || o instanceof Pyramid
        || o instanceof Enum
        || o instanceof Class;
  }

  private long weigh(Object o) {
    Class<?> type = o.getClass();
    if (type.isArray()) {
      return array(o, type.getComponentType());
    }
    if (o instanceof Collection<?> all) {
      all.forEach(this::look);
    } else if (o instanceof Map<?, ?> all) {
      all.forEach(
          (k, v) -> {
            look(k);
            look(v);
          });
    } else if (o instanceof Optional<?> maybe) {
      maybe.ifPresent(this::look);
    } else if (type.getName().startsWith("illuminar.")) {
      fields(o, type);
    }
    return OBJECT;
  }

  private long array(Object o, Class<?> of) {
    long n = Array.getLength(o);
    if (of == boolean.class || of == byte.class) {
      return n;
    } else if (of == char.class || of == short.class) {
      return 2 * n;
    } else if (of == long.class || of == double.class) {
      return 8 * n;
    } else if (!of.isPrimitive()) {
      for (Object each : (Object[]) o) {
        look(each);
      }
    }
    return 4 * n;
  }

  private void fields(Object o, Class<?> type) {
    for (Class<?> at = type; at != null && at != Object.class; at = at.getSuperclass()) {
      for (Field field : at.getDeclaredFields()) {
        if (!Modifier.isStatic(field.getModifiers()) && !field.getType().isPrimitive()) {
          look(value(field, o));
        }
      }
    }
  }

  private static Object value(Field field, Object of) {
    try {
      field.setAccessible(true);
      return field.get(of);
    } catch (IllegalAccessException e) {
      throw new IllegalStateException(e);
    }
  }
}
