package illuminar.core.picture;

import java.util.Optional;
import java.util.function.Supplier;

/**
 * One result: the first that asks computes it, the others wait. One that fails is computed again by
 * whoever asks next.
 */
public final class Once<T> {
  private final Turn turn = new Turn();
  private Supplier<T> find;
  private volatile T value;

  public Once(Supplier<T> find) {
    this.find = find;
  }

  public T get() {
    T now = value;
    return now != null ? now : turn.take(this::found);
  }

  private T found() {
    if (value == null) {
      value = find.get();
      find = null;
    }
    return value;
  }

  /** The result, where it is there already. */
  public Optional<T> there() {
    return Optional.ofNullable(value);
  }
}
